import type { Rig, RigZone } from '../rig';
import type { Direction, PaceSettings } from '../planning';

export type Level = 'ground' | 'bay' | 'cab' | 'aboard' | 'deck';

/** Where one stands: on the way round the rig, and how high. */
export interface Spot {
  readonly level: Level;
  /** Metres along the way round, counter-clockwise seen from above, from the driver's front corner. */
  readonly ring: number;
  /** Metres in the rig's frame, for what is inside. */
  readonly x: number;
  readonly y: number;
}

/** The way that feet can go: once round the outline, never through it, and up where there is a way up. */
export interface Ground {
  readonly length: number;
  readonly spotOf: (zone: RigZone) => Spot;
  readonly seat: Spot;
  readonly wheel: Spot;
  readonly corner: Spot;
  /** Metres along the way round at which it turns. */
  readonly corners: readonly number[];
  /** The point of the way round at so many metres, in the rig's frame. */
  readonly pointAt: (ring: number) => { readonly x: number; readonly y: number };
}

export interface Leg {
  readonly metres: number;
  readonly seconds: number;
  readonly climbs: number;
  readonly reversals: number;
}

/** How far inside the cab one reaches without getting out. */
const CAB = 1.6;

export function layGround(rig: Rig, { aside }: PaceSettings): Ground {
  const side = rig.width / 2 + aside;
  const long = rig.length + 2 * aside;
  const wide = 2 * side;
  const length = 2 * (long + wide);
  const ringOf = (x: number, y: number): number => {
    const along = Math.min(Math.max(x + aside, 0), long);
    const across = Math.min(Math.max(y + side, 0), wide);
    // Each edge with how far the point is from it; the nearest one is where one stands.
    const edges = [
      [Math.abs(y + side), along],
      [Math.abs(x - rig.length - aside), long + across],
      [Math.abs(y - side), long + wide + (long - along)],
      [Math.abs(x + aside), 2 * long + wide + (wide - across)],
    ];
    let best = edges[0];
    for (const edge of edges) if (edge[0] < best[0]) best = edge;
    return best[1] % length;
  };
  const pointAt = (ring: number) => {
    const at = ((ring % length) + length) % length;
    if (at <= long) return { x: at - aside, y: -side };
    if (at <= long + wide) return { x: rig.length + aside, y: at - long - side };
    if (at <= 2 * long + wide) return { x: rig.length + aside - (at - long - wide), y: side };
    return { x: -aside, y: side - (at - 2 * long - wide) };
  };
  const [first] = rig.units;
  const seatZone =
    rig.zones.find(({ unit, id }) => unit.id === first.unit.id && id === 'seat') ??
    rig.zones.find(({ round }) => round === 'cab') ??
    rig.zones[0];
  const seat: Spot = {
    level: 'cab',
    ring: ringOf(seatZone.x, -side),
    x: seatZone.x,
    y: seatZone.y,
  };
  const entrance = rig.zones.find(({ id }) => id === 'entrance');
  const door = entrance ? ringOf(entrance.x, Math.sign(entrance.y || 1) * side) : seat.ring;
  const spotOf = (zone: RigZone): Spot => {
    const { x, y, round } = zone;
    const inside = Math.abs(y) < rig.width / 2 && x > 0 && x < rig.length;
    if (round === 'engine-bay') return { level: 'bay', ring: ringOf(x, y), x, y };
    if (round === 'aboard') return { level: 'aboard', ring: door, x, y };
    const inCab = inside && Math.abs(x - seat.x) <= CAB;
    if (round === 'cab' || round === 'brakes' || (round === 'equipment' && inCab))
      return { level: 'cab', ring: seat.ring, x, y };
    if (round === 'equipment' && inside) return { level: 'deck', ring: ringOf(x, y), x, y };
    return { level: 'ground', ring: ringOf(x, y), x, y };
  };
  return {
    length,
    spotOf,
    seat,
    wheel: { ...seat, level: 'ground' },
    corner: { level: 'ground', ring: 0, x: -aside, y: -side },
    corners: [0, long, long + wide, 2 * long + wide],
    pointAt,
  };
}

/** Metres from the driver's front corner along the direction of the route style. */
export function alongWay(
  { ring }: Pick<Spot, 'ring'>,
  { length }: Pick<Ground, 'length'>,
  direction: Direction,
): number {
  const along = direction === 'clockwise' ? (length - ring) % length : ring;
  // Just short of the corner is the corner: the walk begins there, on whichever side of it one stands.
  return length - along < SIDE_BY_SIDE ? 0 : along;
}

/** Places closer than this stand side by side: which of them comes first is no matter of the direction. */
export const SIDE_BY_SIDE = 1.5;

/** From one place to the next: round the outline, in the direction of the route style where both are outside. */
export function legBetween(
  from: Spot,
  to: Spot,
  { length }: Pick<Ground, 'length'>,
  direction: Direction,
  pace: PaceSettings,
): Leg {
  if (from.level === to.level && from.ring === to.ring && from.x === to.x && from.y === to.y)
    return { metres: 0, seconds: 0, climbs: 0, reversals: 0 };
  const inVehicle = (level: Level) => level === 'cab' || level === 'aboard';
  if (inVehicle(from.level) && inVehicle(to.level)) {
    const metres = Math.hypot(to.x - from.x, to.y - from.y);
    return { metres, seconds: metres / pace.walking, climbs: 0, reversals: 0 };
  }
  const ahead = (((to.ring - from.ring) % length) + length) % length;
  const [onward, back] =
    direction === 'counter-clockwise'
      ? [ahead, (length - ahead) % length]
      : [(length - ahead) % length, ahead];
  // Outside one goes on the way one has begun; a step back is allowed, and whoever comes down goes the short way.
  const outside = !inVehicle(from.level) && !inVehicle(to.level);
  const goesBack = outside ? back <= pace.stepBack && back < onward : back < onward;
  let metres = goesBack ? back : onward;
  let seconds = metres / pace.walking;
  let climbs = 0;
  // Inside a bus one walks from the door to the row.
  const inner = (spot: Spot) => (spot.level === 'aboard' ? Math.abs(spot.x) : 0);
  metres += inner(from) + inner(to);
  seconds += (inner(from) + inner(to)) / pace.walking;
  if (from.level !== 'ground' && from.level !== 'bay') seconds += pace.climbDown;
  if (to.level !== 'ground' && to.level !== 'bay') {
    seconds += pace.climbUp;
    climbs += 1;
  }
  return { metres, seconds, climbs, reversals: outside && goesBack && back > 0 ? 1 : 0 };
}
