import type { PaceSettings, RouteStyle } from '../planning';
import type { Task } from './blocks';
import { legBetween, type Spot } from './ground';

/** All places of a walk by number, and the ways between them; numbers in arrays, because every order that is tried reads them. */
export interface Ways {
  readonly places: readonly Spot[];
  readonly count: number;
  readonly SEAT: number;
  readonly WHEEL: number;
  /** Where the driver stands when the walk, or what is left of it, begins. */
  readonly HERE: number;
  readonly BAY: number;
  /** Of the way from `a` to `b` at `a * count + b`; seconds are no number until it was laid. */
  readonly legs: {
    readonly seconds: Float64Array;
    readonly metres: Float64Array;
    readonly climbs: Uint8Array;
    readonly reversals: Uint8Array;
  };
  readonly layLeg: (from: number, to: number) => void;
  /** Where a unit is worked from: its own controls, the nearest to the block; else where the block is. */
  readonly controlsFor: (unit: string, block: number) => number;
}

/** @param stand key of the zone where the driver stands now; the front corner where nothing is said */
export function layWays(
  { ground, blocks, rig }: Task,
  direction: RouteStyle['direction'],
  pace: PaceSettings,
  stand: string | undefined,
): Ways {
  const size = blocks.length;
  const [SEAT, WHEEL, HERE, BAY, FIRST_CONTROLS] = [size, size + 1, size + 2, size + 3, size + 4];
  const here = rig.zones.find(({ key: zone }) => zone === stand);
  const bay = rig.zones.find(({ round }) => round === 'engine-bay');
  const controls = rig.zones.filter(({ round }) => round === 'equipment');
  const places: Spot[] = [
    ...blocks.map(({ spot }) => spot),
    ground.seat,
    ground.wheel,
    here ? ground.spotOf(here) : ground.corner,
    bay ? ground.spotOf(bay) : ground.corner,
    ...controls.map((zone) => ground.spotOf(zone)),
  ];
  const count = places.length;
  const legs = {
    seconds: new Float64Array(count * count).fill(NaN),
    metres: new Float64Array(count * count),
    climbs: new Uint8Array(count * count),
    reversals: new Uint8Array(count * count),
  };
  const controlsOf = new Map<string, number>();
  return {
    places,
    count,
    SEAT,
    WHEEL,
    HERE,
    BAY,
    legs,
    // Worked out when somebody first goes that way: of many places only few lie next to each other.
    layLeg(from, to) {
      const leg = legBetween(places[from], places[to], ground, direction, pace);
      const at = from * count + to;
      legs.seconds[at] = leg.seconds;
      legs.metres[at] = leg.metres;
      legs.climbs[at] = leg.climbs;
      legs.reversals[at] = leg.reversals;
    },
    controlsFor(unit, block) {
      const name = `${unit} ${block}`;
      const known = controlsOf.get(name);
      if (known !== undefined) return known;
      let best = block < size && blocks[block].zone.unit.id === unit ? block : -1;
      let least = Infinity;
      const from = places[block];
      controls.forEach((zone, at) => {
        if (zone.unit.id !== unit) return;
        const off = Math.hypot(zone.x - from.x, zone.y - from.y);
        if (off < least) [least, best] = [off, FIRST_CONTROLS + at];
      });
      if (best < 0) {
        const zone = rig.zones.find((each) => each.unit.id === unit);
        const at = blocks.findIndex((each) => each.zone.unit.id === unit);
        best = at >= 0 ? at : zone ? HERE : SEAT;
      }
      controlsOf.set(name, best);
      return best;
    },
  };
}
