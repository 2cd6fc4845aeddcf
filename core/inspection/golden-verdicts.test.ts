import { type Circumstance } from '../catalogue';
import { policiesFor } from '../grading';
import type { CheckInstance, Rig } from '../rig';
import { answerSound, begunOf, faultOf, makeLog, makeRig, truck, walkId } from '../testing';
import { assess, fold } from '.';

/*
 * Verdicts worked by hand before anything was run, each with the item of the schedule that it was worked from (NSC Standard 13,
 * Schedule 1: minor is reported and repaired in time, major is not driven), or `house` where the schedule is milder or says nothing.
 * Too strict is as wrong as too lax.
 *
 * A line: item | circumstances | what is said | headline. Said is `check symptom`, `check symptom#step`, `check symptom=fix` for what
 * was put right on the spot, `check ?` for what could not be looked at; several with `+`. A check stands for its first place, or for
 * the one after `@`. Headlines: rolls, limits (rolls with limits), stays.
 */

const ALONE = `
1  |      | truck.brake.slack slack-long                          | stays
1  |      | truck.air.leak-released leak-over                     | stays
1  |      | truck.air.leak-applied leak-over                      | stays
1  |      | truck.air.warning warning-dead                        | stays
1  |      | truck.brake.parking parking-slips                     | stays
1  |      | truck.brake.service late                              | stays
1  |      | truck.air.automatic automatic-late                    | stays
1  |      | truck.air.dryer dryer-hiss                            | limits
house |   | truck.brake.hose hose-leak                            | stays
house |   | truck.brake.hose hose-rubs                            | limits
house |   | truck.brake.slack slack-uneven                        | limits
house |   | truck.brake.lining lining-thin                        | stays
house |   | truck.brake.lining drum-heat                          | rolls
house |   | truck.brake.chamber chamber-plug-lost                 | limits
house |   | truck.records.documents papers-missing                | limits
house |   | truck.air.compressor compressor-oil                   | limits
house |   | truck.brake.service squeals                           | rolls
2  |      | truck.cab.door door-pops                              | stays
house |   | truck.cab.door door-stiff                             | rolls
3  |      | truck.load.secured load-loose                         | stays
3  |      | truck.load.secured load-loose=Tighten the straps      | rolls
3  |      | truck.load.secured strap-cut                          | stays
house |   | truck.load.secured stake-loose                        | limits
house |   | truck.load.secured deck-dirty                         | limits
6  |      | truck.cab.gauges amber-lamp-stays                     | limits
house |   | truck.cab.pedals pad-worn                             | limits
house |   | truck.cab.pedals pedal-blocked                        | stays
house |   | truck.cab.gauges red-lamp-stays                       | stays
7  |      | truck.cab.seat seat-worn                              | limits
7  |      | truck.cab.belt belt-cut                               | stays
7  |      | truck.cab.belt belt-fails                             | stays
9  |      | truck.emergency.extinguisher extinguisher-date        | limits
9  |      | truck.emergency.extinguisher extinguisher-loose       | limits
9  |      | truck.emergency.first-aid kit-missing                 | limits
house |   | truck.emergency.extinguisher extinguisher-gone        | stays
9  |      | truck.emergency.extinguisher extinguisher-small       | limits
10 |      | truck.exhaust.system exhaust-leak                     | limits
10 |      | truck.exhaust.system exhaust-cab                      | stays
house |   | truck.exhaust.system exhaust-hanging                  | limits
11 |      | truck.frame.rail frame-crack                          | stays
11 |      | truck.frame.rail frame-bolt                           | limits
11 |      | truck.frame.rail frame-rust#surface                   | limits
11 |      | truck.frame.rail frame-rust#through                   | stays
11 |      | truck.body.mounts body-shifted                        | stays
11 |      | truck.body.mounts mount-loose                         | limits
12 |      | truck.fuel.tank fuel-leak#class-3                     | stays
12 |      | truck.fuel.tank strap-loose                           | stays
house |   | truck.fuel.tank cap-missing                           | stays
house |   | truck.fuel.lines line-rubs                            | limits
house |   | truck.fuel.separator water-in-bowl                    | limits
house | freezing | truck.fuel.separator water-in-bowl             | stays
14 |      | truck.mirror.outside mirror-loose                     | limits
14 |      | truck.mirror.outside mirror-loose=Tighten the bracket | rolls
house |   | truck.mirror.outside mirror-loose=Wipe it             | limits
house |   | truck.mirror.outside mirror-broken                    | stays
house |   | truck.glass.windscreen screen-chip                    | rolls
house |   | truck.glass.windscreen screen-dirty                   | limits
15 |      | truck.cab.defroster defroster-dead                    | limits
15 | wet  | truck.cab.defroster defroster-dead                    | stays
15 | freezing | truck.cab.defroster defroster-dead                | stays
house |   | truck.cab.horn horn-one                               | rolls
house |   | truck.cab.horn horn-dead                              | stays
18 |      | truck.lamp.side lamp-out                              | limits
18 |      | truck.lamp.tail lamp-out                              | limits
18 |      | truck.lamp.tail lens-broken                           | limits
18 |      | truck.lamp.stop lamp-out                              | limits
18 |      | truck.lamp.stop lamp-out=Swap the bulb                | rolls
18 |      | truck.lamp.stop lens-broken=Wipe the lens             | limits
18 |      | truck.lamp.head lamp-out                              | limits
18 |      | truck.lamp.rear-signal lamp-out                       | stays
18 |      | truck.lamp.plate lamp-out                             | limits
18 |      | truck.lamp.reflectors reflector-missing               | limits
house | dark | truck.lamp.tail lamp-out                           | stays
house | dark | truck.lamp.head lamp-out                           | stays
house | dark | truck.lamp.reflectors reflector-missing            | stays
house |   | truck.lamp.reverse alarm-dead                         | limits
house |   | truck.lamp.front-signal lamp-out                      | stays
19 |      | truck.steering.free-play wheel-binds                  | stays
19 |      | truck.steering.tie-rod joint-play                     | stays
19 |      | truck.steering.gear gear-loose                        | stays
house |   | truck.steering.tie-rod boot-torn                      | limits
house |   | truck.steering.fluid steering-fluid-low               | limits
house |   | truck.steering.fluid steering-fluid-low=Top up        | rolls
house |   | truck.steering.fluid steering-fluid-empty             | stays
house |   | truck.steering.gear gear-seep#class-1                 | rolls
20 |      | truck.suspension.spring leaf-broken                   | limits
20 |      | truck.suspension.spring main-leaf-broken              | stays
20 |      | truck.suspension.spring u-bolt-loose                  | stays
20 |      | truck.suspension.shock shock-loose                    | limits
20 |      | truck.suspension.hanger pin-walking                   | stays
house |   | truck.suspension.hanger bushing-worn                  | limits
house |   | truck.suspension.shock shock-leak#class-1             | rolls
21 |      | truck.tyre.walls cord-showing                         | stays
21 |      | truck.tyre.walls cut-shallow                          | limits
21 |      | truck.tyre.walls object-in                            | limits
21 |      | truck.tyre.between-duals duals-touch                  | stays
house |   | truck.tyre.walls bulge                                | stays
house |   | truck.tyre.valve valve-cap-lost                       | rolls
house |   | truck.tyre.valve valve-rubs                           | limits
house |   | truck.tyre.between-duals duals-uneven                 | limits
house |   | truck.tyre.between-duals duals-object=Take the stone out with the bar | rolls
22 |      | truck.wheel.nuts nut-one                              | stays
22 |      | truck.wheel.rim rim-cracked                           | stays
22 |      | truck.wheel.rim rim-bent                              | stays
22 |      | truck.wheel.hub hub-level-low                         | limits
22 |      | truck.wheel.hub hub-leak#class-1                      | limits
house |   | truck.wheel.nuts nut-streak                           | limits
23 |      | truck.glass.wiper-blades blade-torn                   | limits
23 | wet  | truck.glass.wiper-blades blade-torn                   | stays
23 | wet  | truck.glass.wiper-blades blade-torn=Swap the blade    | rolls
23 |      | truck.glass.washer-fluid washer-empty                 | limits
23 | wet  | truck.glass.washer-fluid washer-empty                 | stays
23 |      | truck.glass.wipers-run wiper-dead                     | limits
23 | wet  | truck.glass.wipers-run washer-dead                    | stays
house |   | truck.glass.washer-fluid washer-summer                | rolls
house |   | truck.engine.oil-level oil-low                        | limits
house |   | truck.engine.oil-level oil-milky                      | stays
house |   | truck.engine.coolant-level coolant-low                | limits
house |   | truck.engine.belts belt-slack                         | limits
house |   | truck.engine.leaks block-oil#class-1                  | rolls
house |   | truck.engine.leaks block-oil#class-2                  | limits
house |   | truck.engine.leaks block-oil#class-3                  | stays
house |   | truck.engine.air-filter filter-service                | rolls
house |   | truck.engine.air-filter filter-red                    | limits
house |   | truck.electrical.battery-box terminal-loose           | limits
house |   | truck.approach.damage dent                            | rolls
house |   | truck.records.decals decal-unreadable                 | rolls
house |   | truck.body.mud-flap flap-gone                         | limits
house |   | truck.step.handrail step-slippery                     | limits
house | freezing | truck.step.handrail step-slippery              | stays
house |   | truck.body.tool-box latch-broken=Tie it shut          | rolls
`;

const SEVERAL = `
18 |      | truck.lamp.stop@rear-lamps-left lamp-out + truck.lamp.stop@rear-lamps-right lamp-out | stays
18 |      | truck.lamp.stop@rear-lamps-left lamp-out + truck.lamp.tail@rear-lamps-left lamp-out  | limits
18 |      | truck.lamp.stop@rear-lamps-left lamp-out=Swap the bulb + truck.lamp.stop@rear-lamps-right lamp-out | limits
18 | dark | truck.lamp.head@headlamp-left lamp-out + truck.lamp.head@headlamp-right lamp-out     | stays
house |   | truck.lamp.head@headlamp-left lamp-out + truck.lamp.head@headlamp-right lamp-out     | stays
20 |      | truck.suspension.spring@steer-left leaf-broken + truck.suspension.spring@drive-left leaf-broken | stays
20 |      | truck.suspension.spring leaf-broken + truck.suspension.shock shock-loose             | limits
house |   | truck.lamp.side lamp-out + truck.lamp.plate lamp-out + truck.lamp.stop lamp-out      | limits
house |   | truck.lamp.side lamp-out + truck.lamp.plate lamp-out + truck.lamp.stop lamp-out + truck.lamp.head lamp-out | stays
house |   | truck.engine.coolant-level coolant-low + truck.engine.leaks block-coolant#class-1    | stays
house |   | truck.engine.coolant-level coolant-low=Top up when cold + truck.engine.leaks block-coolant#class-1 | rolls
house |   | truck.frame.rail frame-bolt + truck.body.mounts mount-loose                          | limits
house |   | truck.cab.horn horn-one + truck.glass.windscreen screen-chip                         | rolls
house |   | truck.approach.damage dent + truck.records.decals decal-unreadable + truck.glass.washer-fluid washer-summer | rolls
14 |      | truck.mirror.outside@mirror-left mirror-loose + truck.mirror.outside@mirror-right mirror-loose | limits
22 |      | truck.wheel.nuts nut-streak + truck.wheel.hub hub-level-low                          | limits
22 |      | truck.wheel.nuts nut-streak + truck.wheel.nuts@steer-right nut-one                   | stays
21 |      | truck.tyre.walls cut-shallow + truck.tyre.valve valve-cap-lost                       | limits
21 |      | truck.tyre.walls@steer-left cut-shallow + truck.tyre.walls@steer-right cut-shallow   | limits
23 |      | truck.glass.wiper-blades blade-torn + truck.glass.washer-fluid washer-empty          | limits
23 | wet  | truck.glass.wiper-blades blade-torn=Swap the blade + truck.glass.washer-fluid washer-empty=Fill it | rolls
10 |      | truck.exhaust.system exhaust-leak + truck.engine.belts belt-slack                    | limits
7  |      | truck.cab.seat seat-worn + truck.cab.horn horn-one                                   | limits
9  |      | truck.emergency.extinguisher extinguisher-date + truck.emergency.first-aid kit-missing | limits
11 |      | truck.frame.rail frame-rust#surface + truck.cab.seat seat-worn + truck.lamp.side lamp-out | limits
1  |      | truck.air.dryer dryer-hiss + truck.brake.slack slack-long                            | stays
15 |      | truck.cab.defroster defroster-dead + truck.lamp.reverse alarm-dead                   | limits
15 | wet  | truck.cab.defroster defroster-dead + truck.lamp.reverse alarm-dead                   | stays
house |   | truck.engine.oil-level oil-low=Top up with the oil of the card + truck.body.tool-box latch-broken=Tie it shut | rolls
house |   | truck.engine.leaks block-oil#class-1 + truck.steering.gear gear-seep#class-1         | rolls
3  |      | truck.load.secured load-loose=Tighten the straps + truck.load.secured stake-loose    | limits
`;

const UNSEEN = `
18 |      | truck.lamp.side ?                                                     | limits
18 |      | truck.lamp.stop@rear-lamps-left ?                                     | limits
18 |      | truck.lamp.stop@rear-lamps-left ? + truck.lamp.stop@rear-lamps-right ? | stays
18 |      | truck.lamp.stop@rear-lamps-left ? + truck.lamp.stop@rear-lamps-right lamp-out | stays
18 |      | truck.lamp.stop@rear-lamps-left ? + truck.lamp.tail@rear-lamps-right lamp-out | limits
18 | dark | truck.lamp.tail ?                                                     | stays
18 |      | truck.lamp.reflectors ?                                               | limits
house | dark | truck.lamp.reflectors ?                                            | stays
1  |      | truck.brake.hose ?                                                    | stays
23 |      | truck.glass.wiper-blades ?                                            | limits
23 | wet  | truck.glass.wiper-blades ?                                            | stays
23 |      | truck.glass.washer-fluid ?                                            | limits
house |   | truck.engine.air-filter ?                                             | limits
house |   | truck.body.tool-box ?                                                 | limits
house |   | truck.body.mud-flap ?                                                 | limits
20 |      | truck.suspension.spring ?                                             | stays
21 |      | truck.tyre.walls ?                                                    | stays
22 |      | truck.wheel.nuts ?                                                    | stays
house |   | truck.lamp.reverse ?                                                  | limits
15 |      | truck.cab.defroster ?                                                 | limits
15 | freezing | truck.cab.defroster ?                                             | stays
house |   | truck.lamp.side ? + truck.lamp.plate ? + truck.lamp.reverse ? + truck.lamp.reflectors ? | stays
`;

const COUPLED = `
4  |      | tag-trailer.coupling.chain chain-missing                              | stays
4  |      | tag-trailer.coupling.chain chain-off=Hook it crossed                  | rolls
4  |      | tag-trailer.coupling.chain chain-missing=Hook it crossed              | stays
house |   | tag-trailer.coupling.chain chain-drags                                | limits
house |   | tag-trailer.coupling.chain chain-drags=Take up the slack              | rolls
4  |      | tag-trailer.coupling.eye eye-crack                                    | stays
house |   | tag-trailer.coupling.eye eye-worn                                     | limits
4  |      | truck.coupling.pintle latch-open                                      | stays
house |   | truck.coupling.pintle pintle-worn                                     | limits
8  |      | tag-trailer.coupling.breakaway breakaway-broken                       | stays
8  |      | tag-trailer.coupling.breakaway breakaway-off=Hook it to the truck     | rolls
house |   | tag-trailer.coupling.breakaway breakaway-frayed                       | limits
18 |      | tag-trailer.lamp.tail lamp-out                                        | limits
18 |      | tag-trailer.lamp.signal lamp-out                                      | stays
21 |      | tag-trailer.tyre.walls cut-shallow                                    | limits
21 |      | tag-trailer.tyre.walls cord-showing                                   | stays
22 |      | tag-trailer.wheel.nuts nut-one                                        | stays
house |   | tag-trailer.load.deck board-broken                                    | limits
house |   | tag-trailer.ramp.hinge ramp-spring                                    | limits
house |   | tag-trailer.coupling.jack jack-down=Wind it up and pin it             | rolls
house |   | tag-trailer.coupling.jack jack-bent                                   | limits
house |   | truck.coupling.gladhands seal-worn=Swap the seal                      | rolls
house |   | truck.coupling.gladhands seal-worn                                    | limits
4  |      | tag-trailer.coupling.chain ?                                          | stays
3  |      | tag-trailer.load.secured load-moves                                   | stays
18 |      | tag-trailer.lamp.stop@rear-lamps-left lamp-out + truck.lamp.stop@rear-lamps-left lamp-out | limits
`;

/** The same under the schedule alone: exactly what the printed list says where it lists it. */
const SCHEDULE_ONLY = `
1  |      | truck.brake.hose hose-leak                            | limits
1  |      | truck.brake.chamber chamber-leak                      | limits
1  |      | truck.brake.slack slack-long                          | stays
6  |      | truck.cab.pedals pedal-blocked                        | limits
7  |      | truck.cab.belt belt-cut                               | stays
9  |      | truck.emergency.extinguisher extinguisher-gone        | limits
12 |      | truck.fuel.tank cap-missing                           | limits
12 |      | truck.fuel.tank fuel-leak#class-3                     | stays
14 |      | truck.mirror.outside mirror-broken                    | limits
14 |      | truck.glass.windscreen screen-crack-swept             | limits
16 |      | truck.cab.horn horn-dead                              | limits
18 | dark | truck.lamp.tail lamp-out                              | limits
18 | dark | truck.lamp.head lamp-out                              | limits
18 | dark | truck.lamp.head@headlamp-left lamp-out + truck.lamp.head@headlamp-right lamp-out | stays
18 |      | truck.lamp.head@headlamp-left lamp-out + truck.lamp.head@headlamp-right lamp-out | limits
18 |      | truck.lamp.stop@rear-lamps-left lamp-out + truck.lamp.stop@rear-lamps-right lamp-out | stays
18 |      | truck.lamp.rear-signal lamp-out                       | stays
18 |      | truck.lamp.front-signal lamp-out                      | limits
21 |      | truck.tyre.walls bulge                                | limits
21 |      | truck.tyre.walls cord-showing                         | stays
21 |      | truck.tyre.valve valve-hiss                           | limits
22 |      | truck.wheel.nuts nut-one                              | stays
16 |      | truck.cab.horn ?                                      | limits
18 |      | truck.lamp.side lamp-out + truck.lamp.plate lamp-out + truck.lamp.stop lamp-out + truck.lamp.head lamp-out | limits
`;

interface Golden {
  readonly item: string;
  readonly circumstances: readonly Circumstance[];
  readonly said: readonly string[];
  readonly headline: string;
}

const read = (table: string): Golden[] =>
  table
    .trim()
    .split('\n')
    .map((line) => {
      const [item, circumstances, said, headline] = line.split('|').map((each) => each.trim());
      return {
        item,
        circumstances: circumstances.split(' ').filter(Boolean) as Circumstance[],
        said: said.split(' + ').map((each) => each.trim()),
        headline,
      };
    });

const alone = makeRig([truck]);
const coupled = makeRig();

function placeOf(rig: Rig, where: string): CheckInstance {
  const [check, place] = where.split('@');
  const found = rig.instances.find(
    (each) => each.check.id === check && (place === undefined || each.key.endsWith(`/${place}`)),
  );
  if (!found) throw new RangeError(`No check ${where}.`);
  return found;
}

function headlineOf({ circumstances, said }: Golden, rig: Rig, policyId: string): string {
  const log = makeLog();
  log.add('begun', { ...begunOf(rig, circumstances), policyId });
  const told = new Map(
    said.map((each) => {
      const [where, ...what] = each.split(' ');
      return [placeOf(rig, where).key, what.join(' ')] as const;
    }),
  );
  let number = 0;
  for (const instance of rig.instances) {
    const what = told.get(instance.key);
    if (what === '?') {
      log.add('answered', { key: instance.key, outcome: 'not-looked', reason: 'Snow' });
      continue;
    }
    // A fault stands beside the number, where one is asked.
    if (what === undefined || instance.check.reading?.required) answerSound(log, instance);
    if (what === undefined) continue;
    const [, symptom = '', step, fixed] =
      /^([a-z0-9-]+)(?:#([a-z0-9-]+))?(?:=(.+))?$/.exec(what) ?? [];
    if (!instance.check.symptoms.some(({ id }) => id === symptom))
      throw new RangeError(`${instance.check.id} has no symptom ${symptom}.`);
    number += 1;
    log.add(
      'faulted',
      faultOf(instance, symptom, {
        defectId: `01900000-0000-7000-8000-0000000001${String(number).padStart(2, '0')}`,
        ...(step && { stepId: step }),
        ...(fixed && { fixed }),
      }),
    );
  }
  return assess({
    inspection: fold(walkId, log.events),
    rig,
    policiesOf: () => policiesFor([policyId], []),
    known: [],
    unread: [],
  }).verdict.headline;
}

const nameOf = ({ item, circumstances, said, headline }: Golden) =>
  `${item}: ${said.join(' and ')}${circumstances.length > 0 ? `, ${circumstances.join(' ')}` : ''}: ${headline}`;
const cases = (table: string) => read(table).map((golden) => [nameOf(golden), golden] as const);

describe('a truck by itself', () => {
  it.each(cases(ALONE))('%s', (_, golden) => {
    expect(headlineOf(golden, alone, 'two-step')).toBe(golden.headline);
  });
});

describe('several faults at once', () => {
  it.each(cases(SEVERAL))('%s', (_, golden) => {
    expect(headlineOf(golden, alone, 'two-step')).toBe(golden.headline);
  });
});

describe('what could not be looked at', () => {
  it.each(cases(UNSEEN))('%s', (_, golden) => {
    expect(headlineOf(golden, alone, 'two-step')).toBe(golden.headline);
  });
});

describe('a truck with its trailer', () => {
  it.each(cases(COUPLED))('%s', (_, golden) => {
    expect(headlineOf(golden, coupled, 'two-step')).toBe(golden.headline);
  });
});

describe('the schedule and nothing stricter', () => {
  it.each(cases(SCHEDULE_ONLY))('%s', (_, golden) => {
    expect(headlineOf(golden, alone, 'schedule-only')).toBe(golden.headline);
  });
});

it('are at least a hundred and fifty, half of them mild, thirty with several, twenty unseen, twenty coupled', () => {
  const all = [ALONE, SEVERAL, UNSEEN, COUPLED, SCHEDULE_ONLY].flatMap(read);
  expect(all.length).toBeGreaterThanOrEqual(150);
  expect(all.filter(({ headline }) => headline !== 'stays').length).toBeGreaterThanOrEqual(
    all.length / 2,
  );
  expect(all.filter(({ said }) => said.length > 1).length).toBeGreaterThanOrEqual(30);
  expect(
    all.filter(({ said }) => said.some((each) => each.endsWith('?'))).length,
  ).toBeGreaterThanOrEqual(20);
  expect(read(COUPLED).length).toBeGreaterThanOrEqual(20);
});
