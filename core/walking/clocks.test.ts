import fc from 'fast-check';
import { clockMove, LATE_AFTER, runningClocks, type VehicleState } from '.';

const state: VehicleState = {
  values: { powerTakeOff: 'in' },
  air: { psi: 0, since: 0 },
  airAt: 90_000,
  oilAt: 300_000,
  warmAt: Infinity,
};
const all = new Set(['air', 'oil', 'cold', 'settle', 'warm'] as const);

it('counts down, ends, and is late when nobody came', () => {
  expect(runningClocks(state, all, 60_000)).toEqual([
    { clock: 'air', due: 90_000, left: 30, late: false },
    { clock: 'oil', due: 300_000, left: 240, late: false },
  ]);
  const [air] = runningClocks(state, all, 90_000);
  expect(air).toMatchObject({ left: 0, late: false });
  const [late] = runningClocks(state, all, 90_000 + LATE_AFTER * 1000 + 1);
  expect(late.late).toBe(true);
});

it('tells of a cleaning that somebody began, and of a warm engine only while it runs', () => {
  const of = (more: Partial<VehicleState>) =>
    runningClocks({ ...state, airAt: 0, oilAt: Infinity, ...more }, all, 0).map(
      ({ clock }) => clock,
    );
  expect(of({ cleanAt: 1_200_000 })).toEqual(['clean']);
  expect(of({ values: { engine: 'idling' }, warmAt: 300_000 })).toEqual(['warm']);
  expect(of({ values: { engine: 'off' }, warmAt: 300_000 })).toEqual([]);
});

it('is no matter where nothing waits for it, and none where nobody started it', () => {
  expect(runningClocks(state, new Set(['oil'] as const), 0).map(({ clock }) => clock)).toEqual([
    'oil',
  ]);
  expect(runningClocks({ ...state, airAt: 0, oilAt: Infinity }, all, 0)).toEqual([]);
});

const at = (wall: number, monotonic: number, slept = false) => ({ wall, monotonic, slept });

it('sees a clock that was set, and takes a sleep for a sleep', () => {
  expect(clockMove(at(0, 0), at(1_000, 1_000))).toBe(0);
  expect(clockMove(at(0, 0), at(601_000, 1_000))).toBe(600_000);
  expect(clockMove(at(0, 0), at(-599_000, 1_000))).toBe(-600_000);
  // A quarter of an hour in the pocket.
  expect(clockMove(at(0, 0), at(900_000, 2_000, true))).toBe(0);
  // Set back while it slept.
  expect(clockMove(at(0, 0), at(-300_000, 2_000, true))).toBe(-302_000);
});

it('never calls an honest clock changed, however uneven the timers are', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 60_000 }),
      fc.integer({ min: -4_000, max: 4_000 }),
      fc.boolean(),
      (passed, jitter, slept) => {
        expect(clockMove(at(0, 0), at(passed + jitter, passed, slept))).toBe(0);
      },
    ),
  );
});
