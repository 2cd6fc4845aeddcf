import { figuresAt } from '../card';
import { CAPABILITIES } from '../catalogue';
import type { Capability, Catalogue, Check, Circumstance, Phase, Place, Zone } from '../catalogue';
import { placeUnits, type PlacedUnit } from './place';
import type { BarredCheck, CheckInstance, Rig, RigZone } from './rig';
import type { Unit } from './unit';

export interface RigRequest {
  /** Front to rear. */
  readonly units: readonly Unit[];
  readonly phase: Phase;
  /** Facts of the moment; `towing` is added by the rig itself. */
  readonly circumstances: readonly Circumstance[];
  readonly catalogue: Catalogue;
  /** What today's job needs beyond the road: its function test is asked today, whatever its phase. */
  readonly needed?: readonly Capability[];
}

/**
 * Joins units into one rig: outline and zones in metres, and every check of this
 * phase once for each wheel, lamp and side that it is asked of.
 * @throws {RangeError} when the units do not make a rig; the message says which and why.
 */
export function composeRig(request: RigRequest): Rig {
  const placed = placeUnits(request.units, request.catalogue);
  const rolling = placed.filter(({ hostId }) => hostId === undefined);
  const towing = rolling.length > 1;
  const circumstances = new Set<Circumstance>(request.circumstances);
  if (towing) circumstances.add('towing');
  const zones = placed.flatMap((unit) => unit.module.zones.map((zone) => toRigZone(unit, zone)));
  const joining = request.phase === 'hook-up' || request.phase === 'storage';
  const barred: BarredCheck[] = [];
  const instances = placed.flatMap((unit) => {
    const carried = placed.find((each) => isCarriedBy(each, unit))?.unit;
    return unit.module.checks
      .filter((check) => check.phases.includes(request.phase) || isWanted(check, unit, request))
      .filter((check) => check.when?.every((each) => circumstances.has(each)) ?? true)
      .filter((check) => {
        const { needs } = check;
        // What can only be seen apart is not seen while it is coupled; what is cycled as empty waits until it is.
        const apart = needs.includes('uncoupled') && towing && !joining;
        const alone = needs.includes('coupled') && !towing;
        const full = needs.includes('empty') && carried !== undefined;
        if (apart || alone || full)
          barred.push({ unit: unit.unit, check, ...(full && { carries: carried }) });
        return !apart && !alone && !full;
      })
      .flatMap((check) => toInstances(unit, check));
  });
  return {
    units: placed,
    length: Math.max(...placed.map((unit) => unit.offset + unit.module.length)),
    width: Math.max(...placed.map(({ aside, module }) => 2 * Math.abs(aside) + module.width)),
    height: Math.max(...placed.map(({ lift, module }) => lift + module.height)),
    towing,
    combinationAir: rolling.filter((unit) => unit.module.airBrakes).length > 1,
    zones,
    instances,
    barred,
    capabilities: rigCapabilities(placed, towing).filter(
      (each) => !barred.some(({ carries, check }) => carries && isLost(check, each)),
    ),
  };
}

/** What the units can do together: `tow` only when something is coupled, `road` only by the one that drives. */
export function rigCapabilities(placed: readonly PlacedUnit[], towing: boolean): Capability[] {
  const all = new Set(
    placed.flatMap(({ module }, index) =>
      module.capabilities.filter((each) => index === 0 || (each !== 'road' && each !== 'tow')),
    ),
  );
  return CAPABILITIES.filter((each) => all.has(each) && (each !== 'tow' || towing));
}

/** What cannot be done while something is in the way of it; the road is another matter. */
const isLost = ({ moves }: Check, capability: Capability) =>
  capability !== 'road' && capability !== 'tow' && (moves?.proves.includes(capability) ?? false);

/** The function cycle of what is wanted today, on the unit that it belongs to; what rides on another is tried where it works. */
function isWanted(
  { id, moves }: Check,
  { module, hostId }: PlacedUnit,
  { phase, needed = [] }: RigRequest,
): boolean {
  if (phase !== 'pre-trip' || !moves || moves.by === 'hand') return false;
  if (hostId !== undefined && module.mountsOn?.sort === 'deck') return false;
  return (
    module.procedures.some(({ check }) => check === id) &&
    moves.proves.some((each) => each !== 'road' && needed.includes(each))
  );
}

/** In its body or on its deck, so that nothing of it can be tilted or lifted as empty. */
function isCarriedBy({ hostId, module }: PlacedUnit, { unit }: PlacedUnit): boolean {
  return hostId === unit.id && CARRYING.has(module.mountsOn?.sort ?? '');
}

const CARRYING: ReadonlySet<string> = new Set(['in-body', 'deck']);

function toRigZone(placed: PlacedUnit, zone: Zone): RigZone {
  // The gap between coupled vehicles is no passage: what stands there is seen from the driver's side.
  const inGap =
    placed.followed &&
    zone.round === 'outside' &&
    zone.x > placed.module.length - 0.1 &&
    Math.abs(zone.y) < placed.module.width / 2;
  return {
    ...zone,
    key: `${placed.unit.id}/${zone.id}`,
    unit: placed.unit,
    x: placed.offset + (inGap ? placed.module.length : zone.x),
    y: placed.aside + (inGap ? -(placed.module.width / 2 + 0.8) : zone.y),
  };
}

function toInstances(placed: PlacedUnit, written: Check): CheckInstance[] {
  const { unit, module, offset, aside } = placed;
  const check = byFigures(written, unit);
  const axles = module.runningGear?.axles;
  const one = (zoneId: string, x: number, y: number, place?: Place): CheckInstance => ({
    key: place ? `${unit.id}/${check.id}/${place.id}` : `${unit.id}/${check.id}`,
    unit,
    check,
    place,
    figures: figuresAt(unit.specification, axles, place),
    zoneKey: `${unit.id}/${zoneId}`,
    x: offset + x,
    y: aside + y,
    ...(check.reading && { fields: module.specification }),
  });
  if (!check.each) {
    const zone = module.zones.find((each) => each.id === check.zone);
    const inward = zone ? Math.sign(zone.y) * Math.min(Math.abs(zone.y), module.width / 2) : 0;
    const along = Math.min(Math.max(zone?.x ?? 0, 0), module.length);
    const contents = module.contents.filter((item) => item.check === check.id);
    const instance = one(check.zone, along, inward);
    return [contents.length > 0 ? { ...instance, contents } : instance];
  }
  return module.places
    .filter((place) => place.sorts.includes(check.each as string))
    .map((place) => ({
      ...one(place.zone, place.x, place.y, place),
      check: limitsAt(check, place),
    }));
}

/** Without a reading that the card of this unit has no figure for, where content leaves it to the eye then. */
function byFigures(check: Check, { specification }: Unit): Check {
  const { reading, ...rest } = check;
  if (!reading?.byCard) return check;
  const known = reading.bands.some(
    ({ limit }) => limit.from !== 'specification' || Number.isFinite(specification[limit.field]),
  );
  return known ? check : rest;
}

/** With the limits that hold at this wheel: a lining on the steer axle may be thinner than another. */
function limitsAt(check: Check, { sorts }: Place): Check {
  const { reading } = check;
  if (!reading?.bands.some(({ at }) => at)) return check;
  const here = sorts.includes('steer') ? 'steered' : 'not-steered';
  const bands = reading.bands.filter(({ at }) => at === undefined || at === here);
  return { ...check, reading: { ...reading, bands } };
}
