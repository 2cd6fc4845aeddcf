import fc from 'fast-check';
import { floorOf, orderWalk } from '../planning';
import { begunOf, makeLog, makeRig, startsAt, truck } from '../testing';
import type { AnyEvent } from './events';
import { findHasty, findDwells, fold } from '.';

const rig = makeRig([truck]);
const stops = orderWalk(rig);

/** A sound walk stop by stop, each taking its own share of the working seconds. */
function walk(shareOf: (stop: number) => number) {
  const log = makeLog();
  log.add('begun', begunOf(rig));
  const events: AnyEvent[] = [{ ...log.events[0], at: startsAt }];
  let at = startsAt;
  stops.forEach(({ instances }, index) => {
    for (const { key, check } of instances) {
      at += check.seconds * 1000 * shareOf(index);
      log.add('answered', { key, outcome: 'sound' });
      events.push({ ...log.events[log.events.length - 1], at: Math.round(at) });
    }
  });
  return fold(log.events[0].inspectionId, events);
}

it('stays as often as there are stops, with all the time that was spent', () => {
  const stays = findDwells(
    walk(() => 1),
    rig,
  );
  expect(stays.map(({ zoneKey }) => zoneKey)).toEqual(stops.map(({ zone }) => zone.key));
  const work = rig.instances.reduce((sum, { check }) => sum + check.seconds, 0);
  expect(stays.reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(work, 1);
  expect(findHasty(stays)).toEqual([]);
});

it('finds the one stop that was faster than it can be walked, and no other', () => {
  const hasty = findHasty(
    findDwells(
      walk((stop) => (stop === 3 ? 0.4 : 0.8)),
      rig,
    ),
  );
  expect(hasty.map(({ zoneKey }) => zoneKey)).toEqual([stops[3].zone.key]);
  expect(hasty[0].floor).toBeCloseTo(floorOf(stops[3].instances));
});

it('lets a brisk walk pass, and no share below it', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 2, noNaN: true }), (share) => {
      const hasty = findHasty(
        findDwells(
          walk(() => share),
          rig,
        ),
      ).length;
      if (share > 0.61) expect(hasty).toBe(0);
      if (share < 0.59) expect(hasty).toBe(stops.length);
    }),
    { numRuns: 30 },
  );
});

it('has nothing to say before the walk', () => {
  expect(findDwells(fold('walk', []), rig)).toEqual([]);
});

it('takes a clock that was set back as no time at all', () => {
  const inspection = walk(() => 1);
  const answers = new Map(inspection.answers);
  const [key, answer] = [...answers][0];
  answers.set(key, { ...answer, at: startsAt - 60_000 });
  for (const { seconds } of findDwells({ ...inspection, answers }, rig))
    expect(seconds).toBeGreaterThanOrEqual(0);
});
