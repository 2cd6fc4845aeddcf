import { CAPABILITIES, type Capability } from '../catalogue';
import { policiesFor } from '../grading';
import { assess, fold } from '../inspection';
import { planWalk } from '../planner';
import { soundRange } from '../measure';
import { toSi } from '../quantity';
import { composeRig, type CheckInstance, type Rig, type Unit } from '../rig';
import { answerSound, begunOf, faultOf, makeLog, violationsOf, walkId } from '../testing';
import { catalogue } from '.';

/*
 * A day with each kind of vehicle: the rig is built, its walk planned, and a test driver walks it in that order, finds everything sound
 * but one thing that is typical of this kind, and signs. What the rig may not do any more was written down by hand before anything was
 * run; six lines were put right by hand after it, where two rules had been forgotten: what is mounted on the truck is the truck's, and
 * without the road there is no highway and nothing is towed. Everything else must stay free, because too strict is as wrong as too lax.
 * `road` of what is towed, or carried by what is towed, is the rig's `tow`: the truck may still go home alone.
 *
 * A line: kind | units, what is fitted after `+` | check@place symptom | what it may not do
 */
const DAYS = `
straight truck             | straight-truck-air                                     | truck.wheel.nuts@steer-left nuts-two     | road
truck and tag trailer      | straight-truck-air, tag-trailer-air                    | tag-trailer.coupling.chain chain-missing | tow
tilt-cab truck             | straight-truck-hydraulic                               | tilt-truck.brake.fluid fluid-low         | road
truck with column lift     | straight-truck-hydraulic+liftgate-column               | column-lift.hydraulic-lock lock-dead     | lift-gate
dump truck                 | straight-truck-air+power-take-off+dump-body            | dump.prop prop-bent                      | dump
combined body with liquid  | straight-truck-air+power-take-off+dump-spreader-body+wetting-system | combi.props prop-bent       | dump
plow truck                 | straight-truck-air+power-take-off+dump-body, front-plow | plow.pins pin-out                       | road plow
wing plow                  | straight-truck-air+power-take-off+dump-body, front-plow, wing-plow | wing.pins pin-out            | road plow
underbody blade            | straight-truck-air+power-take-off+dump-body+underbody-blade | underbody.hangers hanger-crack      | road plow
spreader                   | straight-truck-air+power-take-off+dump-body, slide-in-spreader | spreader.tie-downs tie-gone      | road spread
flatbed                    | straight-truck-air+platform-body                       | platform.headboard headboard-cracked     | road
crane truck                | straight-truck-air+power-take-off+loader-crane+platform-body | loader-crane.hook hook-opened      | crane
road tractor               | road-tractor, semi-trailer                             | tractor.fifth-wheel.jaws jaws-open       | road highway tow
semi-trailer with lift     | road-tractor, semi-trailer+liftgate-rail               | rail-lift.chains chain-damaged           | lift-gate
converter dolly            | straight-truck-air, converter-dolly                    | dolly.hooks hook-open                    | tow
transporter                | off-road-tractor, lowboy-transporter                   | lowboy.neck.locks lock-out               | tow
heavy off-road tractor     | off-road-tractor, lowboy-transporter                   | heavy-tractor.inflation.equal inflation-uneven | road tow
digger aboard              | road-tractor, lowboy-transporter, tracked-digger       | digger.tied chain-loose                  | tow
led digger aboard          | straight-truck-air, tag-trailer-air, outrigger-digger  | led-digger.legs-in leg-out               | tow
tilt trailer               | straight-truck-air+power-take-off, tilt-trailer        | tilt-trailer.undercarriage not-locked    | tow
terminal tractor           | terminal-tractor, semi-trailer                         | yard-tractor.boom.frame boom-crack       | tow yard
off-road truck             | off-road-cargo-truck                                   | off-road.seats.troop seat-unlocked       | passengers
light four-wheel drive     | light-four-wheel-drive+front-winch                     | light-drive.brake.master master-leaks    | road
utility vehicle            | light-utility                                          | utility.brake.pedal pedal-sinks          | road yard
school bus                 | school-bus                                             | school-bus.stop-arm arm-dead             | passengers
bus with lift              | transit-bus+passenger-lift                             | passenger-lift.interlock.park moves-in-gear | road highway passengers passenger-lift
van with side lift         | passenger-van+passenger-lift                           | van.seats.row seat-loose                 | passengers
mobile crane               | mobile-crane                                           | mobile-crane.rope.hoist rope-wires       | crane
crane with a leg out       | mobile-crane                                           | mobile-crane.outriggers.locks lock-out   | road crane
ladder truck               | fire-pumper+aerial-ladder                              | aerial.dead-man dead-man-dead            | aerial
pumper with winch          | fire-pumper+front-winch                                | pumper.tank.level tank-empty             | pump
`;

/** Figures of the cards, SI, where a limit asks for one. */
const CARD: Readonly<Record<string, number>> = {
  coldPressureSteer: 760_000,
  coldPressureDrive: 655_000,
  coldPressureTrailer: 620_000,
  chargeVoltageLow: 13.4,
  chargeVoltageHigh: 14.8,
  steeringFreePlay: 0.24,
  governorCutOutHigh: 1_000_000,
  governorCutOutLow: 793_000,
  governorCutInLow: 690_000,
  lowPressureWarning: 414_000,
  chamber: 30,
  chamberSteer: 20,
  breakawayVoltageLow: 12.4,
  edgeDepthNew: 0.15,
  passengerSeats: 20,
  slopeMostWide: 0.35,
  slopeMostNarrow: 0.14,
};

/** Between its limits; where it has one only, well on the sound side of it. */
function soundValue(instance: CheckInstance, combinationAir: boolean): number | undefined {
  const { reading } = instance.check;
  if (!reading) return undefined;
  const { least, most } = soundRange(reading, instance.figures, combinationAir);
  const [low, high, unit] = reading.plausible;
  if (least && most) return (least.value + most.value) / 2;
  if (least) return Math.min(least.value * 1.3, toSi(high, unit));
  if (most) return Math.max(most.value * 0.5, toSi(low, unit));
  return toSi((low + high) / 2, unit);
}

function answer(log: ReturnType<typeof makeLog>, instance: CheckInstance, rig: Rig): void {
  const { check, key } = instance;
  const value = check.reading?.required ? soundValue(instance, rig.combinationAir) : undefined;
  if (value === undefined || !check.reading) {
    answerSound(log, instance);
    return;
  }
  const [, , unit] = check.reading.plausible;
  log.add('measured', { key, value, unit, typed: String(value), instrument: 'gauge' });
}

let number = 100;
const unitsOf = (text: string): Unit[] =>
  text.split(',').map((each) => {
    const [moduleId, ...fitted] = each.trim().split('+');
    number += 1;
    return {
      id: `day-${number}`,
      number: String(number),
      title: moduleId,
      plate: '',
      moduleId,
      fitted,
      specification: CARD,
    };
  });

const days = DAYS.trim()
  .split('\n')
  .map((line) => line.split('|').map((each) => each.trim()) as [string, string, string, string]);

it.each(days)('a day with %s: %s, %s, and it may not: %s', (_, units, found, blocked) => {
  const rig = composeRig({
    units: unitsOf(units),
    phase: 'pre-trip',
    circumstances: [],
    catalogue,
  });
  const plan = planWalk({ rig, phase: 'pre-trip', circumstances: [] });
  expect(violationsOf(plan, rig, 'pre-trip')).toEqual([]);

  const [at, symptomId] = found.split(' ');
  const [checkId, place] = at.split('@');
  const walked = plan.stops.flatMap(({ instances }) => instances);
  const faulty = walked.find(
    ({ check, place: here }) => check.id === checkId && (!place || here?.id === place),
  );
  const log = makeLog();
  log.add('begun', begunOf(rig));
  for (const instance of walked)
    if (instance === faulty) log.add('faulted', faultOf(instance, symptomId));
    else answer(log, instance, rig);
  const assessment = assess({
    inspection: fold(walkId, log.events),
    rig,
    policiesOf: () => policiesFor(['two-step'], []),
    known: [],
    unread: [],
  });
  expect(faulty).toBeDefined();
  expect(assessment.missing).toEqual([]);
  const lost = new Set(blocked.split(' ') as Capability[]);
  const states = Object.fromEntries(
    assessment.verdict.capabilities.map(({ capability, state }) => [capability, state]),
  );
  const may = CAPABILITIES.filter((each) => each in states);
  expect(may.filter((each) => states[each] === 'blocked')).toEqual(
    may.filter((each) => lost.has(each)),
  );
});

it('has a day for every module', () => {
  const used = new Set(days.flatMap(([, units]) => units.split(/[,+]/).map((each) => each.trim())));
  expect(catalogue.modules.map(({ id }) => id).filter((id) => !used.has(id))).toEqual([]);
});
