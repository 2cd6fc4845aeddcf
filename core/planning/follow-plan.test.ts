import { makeRig, trailer, truck } from '../testing';
import { followPlan, orderWalk, toKeptStops } from '.';

const rig = makeRig();
const kept = toKeptStops([...orderWalk(rig)].reverse());
const keysOf = (stops: ReturnType<typeof followPlan>['stops']) =>
  stops.flatMap(({ instances }) => instances.map(({ key }) => key));
const everyKey = (of = rig) => of.instances.map(({ key }) => key).sort();

it('is followed as it was kept', () => {
  const { stops, stale } = followPlan(rig, JSON.parse(JSON.stringify(kept)));
  expect(stale).toBe(false);
  expect(toKeptStops(stops)).toEqual(kept);
});

it('may stop at one place twice', () => {
  const [first, ...rest] = kept;
  const half = Math.ceil(first.checks.length / 2);
  const twice = [
    { ...first, checks: first.checks.slice(0, half) },
    ...rest,
    { ...first, key: `${first.key}#2`, checks: first.checks.slice(half) },
  ];
  const { stops, stale } = followPlan(rig, twice);
  expect(stale).toBe(false);
  expect(stops[0].zone).toBe(stops[stops.length - 1].zone);
  expect(keysOf(stops).sort()).toEqual(everyKey());
});

it('that is older than the rig loses no check, and says that it is', () => {
  const older = kept.slice(3);
  const { stops, stale } = followPlan(rig, older);
  expect(stale).toBe(true);
  expect(keysOf(stops).sort()).toEqual(everyKey());
  expect(new Set(stops.map(({ key }) => key)).size).toBe(stops.length);
});

it('of a longer rig leaves out what is gone', () => {
  const alone = makeRig([truck]);
  const { stops, stale } = followPlan(alone, kept);
  expect(stale).toBe(true);
  expect(keysOf(stops).sort()).toEqual(everyKey(alone));
  expect(stops.some(({ zone }) => zone.unit.id === trailer.id)).toBe(false);
});

it('that names a check twice asks it once', () => {
  const { stops } = followPlan(rig, [...kept, kept[0]]);
  expect(keysOf(stops).sort()).toEqual(everyKey());
});

it('that is empty is the usual walk', () => {
  const { stops, stale } = followPlan(rig, []);
  expect(stale).toBe(true);
  expect(keysOf(stops)).toEqual(
    orderWalk(rig).flatMap(({ instances }) => instances.map(({ key }) => key)),
  );
});
