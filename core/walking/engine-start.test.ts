import fc from 'fast-check';
import { beginStart, onStart, START_GATES, startClock, startLimitsOf, USUAL_START } from '.';
import type { EngineStart, StartAct } from '.';

const ready = () => START_GATES.reduce((start) => onStart(start, 'yes', 0), beginStart());

it('asks for brake, neutral, exhaust and lamps before the key', () => {
  let start = beginStart();
  for (const gate of START_GATES) {
    expect(start.at).toBe(gate);
    expect(onStart(start, 'no', 0)).toEqual({ at: 'stopped', because: gate });
    start = onStart(start, 'yes', 0);
  }
  expect(start).toEqual({ at: 'ready', tries: 0 });
});

it('lets go after fifteen seconds and rests a minute before the next try', () => {
  let start = onStart(ready(), 'crank', 0);
  expect(startClock(start, 4_000)).toEqual({ left: 11, over: false });
  expect(startClock(start, USUAL_START.crank * 1000)).toEqual({ left: 0, over: true });
  start = onStart(start, 'not-caught', 15_000);
  expect(start.at).toBe('resting');
  expect(onStart(start, 'crank', 60_000)).toBe(start);
  expect(onStart(start, 'crank', 75_000)).toEqual({ at: 'cranking', tries: 2, since: 75_000 });
});

it('is no start any more after three tries', () => {
  let start: EngineStart = { at: 'cranking', tries: USUAL_START.tries, since: 0 };
  start = onStart(start, 'not-caught', 10_000);
  expect(start).toEqual({ at: 'stopped', because: 'not-caught' });
});

describe('what the card of the unit says of its start', () => {
  it('takes the place of the usual figures', () => {
    const limits = startLimitsOf({ crankMost: 10, crankRest: 120, crankTries: 2 });
    expect(limits).toEqual({ crank: 10, rest: 120, tries: 2, pressure: 10 });
    const first = onStart(ready(), 'crank', 0, limits);
    expect(startClock(first, 10_000, limits)?.over).toBe(true);
    const resting = onStart(first, 'not-caught', 10_000, limits);
    expect(onStart(resting, 'crank', 129_000, limits)).toBe(resting);
    const second = onStart(resting, 'crank', 130_000, limits);
    expect(onStart(second, 'not-caught', 140_000, limits).at).toBe('stopped');
  });

  it.each([
    ['nothing', {}],
    ['a minute of cranking', { crankMost: 60 }],
    ['no rest at all', { crankRest: 0 }],
    ['a hundred tries', { crankTries: 100 }],
    ['less than nothing', { crankMost: -5, crankRest: -5, crankTries: -1 }],
  ])('is not taken where it says %s', (_, card) =>
    expect(startLimitsOf(card)).toEqual(USUAL_START),
  );
});

it('shuts down without oil pressure', () => {
  const running = onStart(onStart(ready(), 'crank', 0), 'caught', 3_000);
  expect(startClock(running, 14_000)).toEqual({ left: 0, over: true });
  expect(onStart(running, 'pressure-up', 8_000)).toEqual({ at: 'idling' });
  expect(onStart(running, 'no-pressure', 14_000)).toEqual({ at: 'shut-down' });
});

it('idles only after every gate and the oil pressure, whatever is tapped', () => {
  const acts = fc.array(
    fc.constantFrom<StartAct>(
      'yes',
      'no',
      'crank',
      'caught',
      'not-caught',
      'pressure-up',
      'no-pressure',
    ),
    { maxLength: 30 },
  );
  fc.assert(
    fc.property(acts, fc.integer({ min: 0, max: 90_000 }), (list, pause) => {
      let start = beginStart();
      let yes = 0;
      let pressure = false;
      let cranks = 0;
      list.forEach((act, index) => {
        const before = start;
        start = onStart(start, act, index * pause);
        if (before !== start && act === 'yes') yes += 1;
        if (before !== start && act === 'crank') cranks += 1;
        if (before !== start && act === 'pressure-up') pressure = true;
      });
      expect(cranks).toBeLessThanOrEqual(USUAL_START.tries);
      if (start.at === 'idling') expect([yes, pressure]).toEqual([START_GATES.length, true]);
    }),
  );
});
