import { findCardFaults } from '../card';
import type { Amount, Message } from '../words';
import type { Rig } from './rig';
import type { Unit } from './unit';
import type { PlacedUnit } from './place';

type MisfitCode = 'coupling-rating' | 'plate-rating' | 'overloaded' | 'voltage' | 'pins' | 'height';
type CardFault = ReturnType<typeof findCardFaults>[number];

export interface Misfit {
  /** The unit that is not made for it, or whose card cannot be right. */
  readonly unitId: string;
  readonly says: Message<MisfitCode> | CardFault;
}

const kilograms = (si: number): Amount => ({ si, kind: 'mass' });
const metres = (si: number): Amount => ({ si, kind: 'length' });

/** Couplings that meet more than this apart do not close, metres. */
const HEIGHT_APART = 0.08;

/**
 * What the cards of the units say against a rig whose joints and mounts fit: ratings of coupling, plate and gross
 * mass, voltage and pins of the sockets, heights of the couplings; and what cannot be right on a card. What no card knows is not held
 * against it.
 * Nothing here replaces the plates on the vehicles and the law of the road.
 */
export function findMisfits(rig: Rig): Misfit[] {
  const rolling = rig.units.filter(({ hostId }) => hostId === undefined);
  return [
    ...rig.units.flatMap(({ unit, module }) =>
      findCardFaults(unit.number, unit.specification, unit.card, module).map((says) => ({
        unitId: unit.id,
        says,
      })),
    ),
    ...rolling.slice(1).flatMap((towed, index) => findJointMisfits(rig, rolling[index], towed)),
    ...rolling.flatMap((host) => findOverload(rig, host)),
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
): Misfit[] {
  const misfits: Misfit[] = [];
  const refuse = (unit: Unit, says: Misfit['says']) => misfits.push({ unitId: unit.id, says });
  const both = { unit: front.number, other: rear.number };
  // Whatever hangs behind the coupling pulls on it.
  const behind = rig.units
    .filter((each) => each.hostId === undefined && each.offset >= offset)
    .map(({ unit }) => loadedMass(unit));
  const pulled = behind.every((kg) => kg !== undefined)
    ? behind.reduce<number>((sum, kg) => sum + (kg ?? 0), 0)
    : undefined;
  const rating = numberOf(front, 'towRating');
  if (rating !== undefined && pulled !== undefined && pulled > rating)
    refuse(front, {
      code: 'coupling-rating',
      unit: front.number,
      rated: kilograms(rating),
      pulled: kilograms(pulled),
    });
  const plate = numberOf(front, 'kingpinLoad');
  const pin = numberOf(rear, 'kingpinLoad');
  if (plate !== undefined && pin !== undefined && pin > plate)
    refuse(front, { code: 'plate-rating', ...both, rated: kilograms(plate), load: kilograms(pin) });
  const volts = [numberOf(front, 'socketVolts'), numberOf(rear, 'socketVolts')] as const;
  if (differ(volts)) refuse(rear, { code: 'voltage', ...both, gives: volts[0], wants: volts[1] });
  const pins = [numberOf(front, 'socketPins'), numberOf(rear, 'socketPins')] as const;
  if (differ(pins)) refuse(rear, { code: 'pins', ...both, socket: pins[0], plug: pins[1] });
  const hook = numberOf(front, 'hookHeight');
  const eye = numberOf(rear, 'eyeHeight');
  if (hook !== undefined && eye !== undefined && Math.abs(hook - eye) > HEIGHT_APART)
    refuse(rear, { code: 'height', ...both, eye: metres(eye), hook: metres(hook) });
  return misfits;
}

function differ(
  both: readonly [number | undefined, number | undefined],
): both is readonly [number, number] {
  const [a, b] = both;
  return a !== undefined && b !== undefined && a !== b;
}

/** What is mounted, slid in or carried counts against the rating of what carries it. */
function findOverload(rig: Rig, host: PlacedUnit): Misfit[] {
  const aboard = rig.units.filter(({ hostId }) => hostId === host.unit.id);
  const rated = numberOf(host.unit, 'massGross');
  const own = numberOf(host.unit, 'massEmpty');
  if (aboard.length === 0 || rated === undefined || own === undefined) return [];
  const loads = aboard.map(({ unit }) => loadedMass(unit));
  if (loads.some((kg) => kg === undefined)) return [];
  const all = loads.reduce<number>((sum, kg) => sum + (kg ?? 0), own);
  if (all <= rated) return [];
  return [
    {
      unitId: host.unit.id,
      says: {
        code: 'overloaded',
        unit: host.unit.number,
        rated: kilograms(rated),
        aboard: aboard.map(({ unit }) => unit.number),
        full: kilograms(all),
      },
    },
  ];
}
