import type { Stop } from '@nazar/core/planning';
import type { Walk } from '@/state/walk';
import { openInStop, stateOfStop, stopAfter } from './states';

function walkOf(...stops: readonly (readonly string[])[]): Walk {
  const key = (stop: number, check: number) => `${stop}.${check}`;
  return {
    stops: stops.map((states, stop) => ({
      instances: states.map((_, check) => ({ key: key(stop, check) })),
    })) as unknown as Stop[],
    assessment: {
      byKey: new Map(
        stops.flatMap((states, stop) =>
          states.map((state, check) => [key(stop, check), { state }]),
        ),
      ),
    },
  } as unknown as Walk;
}

it('goes on to the next stop with something open', () => {
  const walk = walkOf(['sound'], ['sound'], ['sound', 'unanswered'], ['unanswered']);
  expect(stopAfter(walk, 0)).toBe(2);
  expect(stopAfter(walk, 2)).toBe(3);
});

it('comes back to what was passed by before it is at the end', () => {
  const walk = walkOf(['sound'], ['again'], ['sound'], ['sound']);
  expect(stopAfter(walk, 3)).toBe(1);
});

it('is at the end when nothing is open elsewhere', () => {
  expect(stopAfter(walkOf(['sound'], ['not-looked'], ['major']), 1)).toBeUndefined();
  expect(stopAfter(walkOf(['sound'], ['unanswered']), 1)).toBeUndefined();
});

it('calls a stop as bad as its worst check, and open while one waits', () => {
  const walk = walkOf(['sound', 'unanswered', 'minor'], ['sound', 'again']);
  expect(walk.stops.map((stop) => stateOfStop(walk, stop))).toEqual(['minor', 'again']);
  expect(walk.stops.map((stop) => openInStop(walk, stop))).toEqual([1, 1]);
});
