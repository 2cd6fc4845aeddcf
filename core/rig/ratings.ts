import { formatSi, unitFor, type UnitHabit } from '../quantity';
import type { Rig } from './rig';
import type { Unit } from './unit';
import type { PlacedUnit } from './place';

export interface Misfit {
  readonly code: 'coupling-rating' | 'plate-rating' | 'overloaded' | 'voltage' | 'pins' | 'height';
  /** The unit that is not made for it. */
  readonly unitId: string;
  readonly words: string;
}

/** Couplings that meet more than this apart do not close, metres. */
const HEIGHT_APART = 0.08;

/**
 * What the cards of the units say against a rig whose joints and mounts fit: ratings of coupling, plate and gross
 * mass, voltage and pins of the sockets, heights of the couplings. What no card knows is not held against it.
 * Nothing here replaces the plates on the vehicles and the law of the road.
 */
export function findMisfits(rig: Rig, habit: UnitHabit): Misfit[] {
  const rolling = rig.units.filter(({ hostId }) => hostId === undefined);
  return [
    ...rolling
      .slice(1)
      .flatMap((towed, index) => findJointMisfits(rig, rolling[index], towed, habit)),
    ...rolling.flatMap((host) => findOverload(rig, host, habit)),
  ];
}

/** Units of the rig whose cards lack a mass, so that not all of it can be weighed. */
export function findUnweighed(rig: Rig): Unit[] {
  return rig.units.map(({ unit }) => unit).filter((unit) => loadedMass(unit) === undefined);
}

const numberOf = (unit: Unit, field: string): number | undefined => {
  const value = unit.specification[field];
  return Number.isFinite(value) ? value : undefined;
};

/** The most that it may weigh; for what has no load of its own, what it weighs. kg */
function loadedMass(unit: Unit): number | undefined {
  return numberOf(unit, 'massGross') ?? numberOf(unit, 'massEmpty');
}

function findJointMisfits(
  rig: Rig,
  { unit: front }: PlacedUnit,
  { unit: rear, offset }: PlacedUnit,
  habit: UnitHabit,
): Misfit[] {
  const mass = (kg: number) => formatSi(kg, unitFor('mass', habit));
  const misfits: Misfit[] = [];
  const refuse = (code: Misfit['code'], unit: Unit, words: string) =>
    misfits.push({ code, unitId: unit.id, words });
  // Whatever hangs behind the coupling pulls on it.
  const behind = rig.units
    .filter((each) => each.hostId === undefined && each.offset >= offset)
    .map(({ unit }) => loadedMass(unit));
  const pulled = behind.every((kg) => kg !== undefined)
    ? behind.reduce<number>((sum, kg) => sum + (kg ?? 0), 0)
    : undefined;
  const rating = numberOf(front, 'towRating');
  if (rating !== undefined && pulled !== undefined && pulled > rating)
    refuse(
      'coupling-rating',
      front,
      `The coupling of ${front.number} is rated ${mass(rating)}, and what it would pull may weigh ${mass(pulled)}.`,
    );
  const plate = numberOf(front, 'kingpinLoad');
  const pin = numberOf(rear, 'kingpinLoad');
  if (plate !== undefined && pin !== undefined && pin > plate)
    refuse(
      'plate-rating',
      front,
      `The plate of ${front.number} carries ${mass(plate)}, and ${rear.number} puts ${mass(pin)} on it.`,
    );
  const volts = [numberOf(front, 'socketVolts'), numberOf(rear, 'socketVolts')] as const;
  if (differ(volts))
    refuse(
      'voltage',
      rear,
      `${front.number} gives ${volts[0]} V and ${rear.number} wants ${volts[1]} V: lamps and valves burn or stay dark.`,
    );
  const pins = [numberOf(front, 'socketPins'), numberOf(rear, 'socketPins')] as const;
  if (differ(pins))
    refuse(
      'pins',
      rear,
      `${front.number} has a socket of ${pins[0]} pins and ${rear.number} a plug of ${pins[1]}: it needs an adapter.`,
    );
  const hook = numberOf(front, 'hookHeight');
  const eye = numberOf(rear, 'eyeHeight');
  if (hook !== undefined && eye !== undefined && Math.abs(hook - eye) > HEIGHT_APART)
    refuse(
      'height',
      rear,
      `${rear.number} couples at ${formatSi(eye, unitFor('length', habit))} and ${front.number} at ${formatSi(hook, unitFor('length', habit))}.`,
    );
  return misfits;
}

function differ([a, b]: readonly [number | undefined, number | undefined]): boolean {
  return a !== undefined && b !== undefined && a !== b;
}

/** What is mounted, slid in or carried counts against the rating of what carries it. */
function findOverload(rig: Rig, host: PlacedUnit, habit: UnitHabit): Misfit[] {
  const aboard = rig.units.filter(({ hostId }) => hostId === host.unit.id);
  const rated = numberOf(host.unit, 'massGross');
  const own = numberOf(host.unit, 'massEmpty');
  if (aboard.length === 0 || rated === undefined || own === undefined) return [];
  const loads = aboard.map(({ unit }) => loadedMass(unit));
  if (loads.some((kg) => kg === undefined)) return [];
  const all = loads.reduce<number>((sum, kg) => sum + (kg ?? 0), own);
  if (all <= rated) return [];
  const mass = (kg: number) => formatSi(kg, unitFor('mass', habit));
  return [
    {
      code: 'overloaded',
      unitId: host.unit.id,
      words: `${host.unit.number} may weigh ${mass(rated)}, and with ${aboard
        .map(({ unit }) => unit.number)
        .join(', ')} full it would weigh ${mass(all)}.`,
    },
  ];
}
