import { planWalk } from '@nazar/core/planner';
import { makeRig } from '@nazar/core/testing';
import { toLanes } from './lanes';

const { happenings, totals } = planWalk({ rig: makeRig(), phase: 'pre-trip', circumstances: [] });
const lanes = toLanes(happenings, totals.seconds, 300);
const lane = (id: string) => lanes.find((each) => each.id === id)?.spans ?? [];

it('shows the driver without a gap that is not a hood', () => {
  const spans = lane('me');
  expect(spans[0].from).toBe(0);
  expect(spans.at(-1)?.to).toBeCloseTo(totals.seconds);
  for (const [index, { from }] of spans.entries())
    if (index > 0) expect(from - spans[index - 1].to).toBeLessThan(23);
});

it('shows how long the engine and the lamps are on', () => {
  expect(lane('engine')).toHaveLength(totals.starts);
  for (const { from, to } of [...lane('engine'), ...lane('lamps')]) {
    expect(to).toBeGreaterThan(from);
    expect(to).toBeLessThanOrEqual(totals.seconds);
  }
});

it('shows the air as a clock that begins when the engine has started', () => {
  const start = happenings.find((each) => each.kind === 'change' && each.change === 'start');
  expect(lane('air')[0].from).toBeCloseTo((start?.at ?? 0) + (start?.seconds ?? 0));
});

it('leaves out what does not run on this walk', () => {
  expect(lanes.some(({ id }) => id === 'oil')).toBe(false);
  expect(toLanes([], 0, 300)).toEqual([]);
});
