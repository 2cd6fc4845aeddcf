import { planWalk, type Happening } from '@nazar/core/planner';
import { clocksWanted, USUAL_ROUTE_STYLE } from '@nazar/core/planning';
import { makeRig } from '@nazar/core/testing';
import { toLanes } from './lanes';

const rig = makeRig();
const plan = planWalk({
  rig,
  phase: 'pre-trip',
  circumstances: [],
  routeStyle: { ...USUAL_ROUTE_STYLE, helper: true },
});
const { happenings, totals, helped } = plan;
const request = {
  happenings,
  helped,
  clocks: [...clocksWanted(rig.instances)],
  end: totals.seconds,
  freezing: false,
};
const lanes = toLanes(request);
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

it('has no lamps on while the engine and the key are off', () => {
  const offs = happenings.flatMap((each) =>
    each.kind === 'change' && (each.change === 'shut-down' || each.change === 'key-off')
      ? [each.at]
      : [],
  );
  expect(offs.length).toBeGreaterThan(0);
  expect(lane('lamps').length).toBeGreaterThan(0);
  for (const { from, to } of lane('lamps'))
    expect(offs.filter((at) => at > from && at < to)).toEqual([]);
});

it('ends the lamps with the engine that is shut down, and begins them again', () => {
  const change = (which: 'start' | 'lamps-on' | 'shut-down', at: number) =>
    ({ kind: 'change', change: which, at, seconds: 5, zone: 'cab' }) as unknown as Happening;
  const made = toLanes({
    ...request,
    happenings: [
      change('start', 0),
      change('lamps-on', 20),
      change('shut-down', 60),
      change('start', 100),
      change('lamps-on', 140),
    ],
    end: 200,
  });
  expect(made.find(({ id }) => id === 'lamps')?.spans).toMatchObject([
    { from: 20, to: 60 },
    { from: 140, to: 200 },
  ]);
});

it('shows air and warm engine as clocks that begin when the engine has started', () => {
  // The first start of a walk is made by the guided check.
  const start = happenings.find((each) => each.kind === 'check' && each.does.includes('start'));
  expect(start?.at).toBe(lane('engine')[0].from);
  const begun = (start?.at ?? 0) + (start?.seconds ?? 0);
  expect(lane('air')[0]).toMatchObject({ kind: 'wait', from: begun, to: begun + 90 });
  expect(lane('warm')[0]).toMatchObject({ kind: 'wait', from: begun, to: begun + 300 });
});

it('shows when a helper is wanted, beside what the driver does then', () => {
  const seconds = lane('helper').reduce((sum, { from, to }) => sum + to - from, 0);
  const needed = rig.instances.filter(({ check }) => check.helper === 'needed');
  expect(needed.length).toBeGreaterThan(0);
  expect(seconds).toBeCloseTo(needed.reduce((sum, { check }) => sum + check.seconds, 0));
  for (const { from, to } of lane('helper'))
    expect(lane('me').some((own) => own.kind === 'check' && own.from <= from && own.to >= to)).toBe(
      true,
    );
});

it('leaves out what does not run, and what nobody waits for', () => {
  const ids = (more: Partial<typeof request>) =>
    toLanes({ ...request, ...more }).map(({ id }) => id);
  expect(ids({})).not.toContain('oil');
  expect(ids({ helped: [] })).not.toContain('helper');
  expect(ids({ clocks: ['warm'] })).not.toContain('air');
  expect(toLanes({ ...request, happenings: [], helped: [] })).toEqual([]);
});
