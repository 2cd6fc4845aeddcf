/** One axle of a unit, front to rear as its card has them. Lengths in metres, pressures in pascal. */
export interface Axle {
  /** Metres from the front of the unit. */
  readonly at: number;
  /** Tyres on each side. */
  readonly tyres: 1 | 2;
  readonly steered?: boolean;
  readonly driven?: boolean;
  /** It can be lifted off the road. */
  readonly lifts?: boolean;
  /** Size as it is printed on the wall of the tyre. */
  readonly size?: string;
  readonly coldPressure?: number;
  /** Depth of the tread when new. */
  readonly treadNew?: number;
  /** Type of the brake chambers, as stamped on them. */
  readonly chamber?: number;
  readonly longStroke?: boolean;
  readonly discBrakes?: boolean;
  /** Most stroke of the push rods. */
  readonly strokeMost?: number;
  /** Least lining. */
  readonly liningLeast?: number;
}

/** How the wheels of a module stand and are called, and which axles it has where the card of a unit names none. */
export interface RunningGear {
  /** A vehicle that drives has steer and drive axles; what is towed has numbered ones; a small one a front and a rear axle. */
  readonly names: 'steer-and-drive' | 'numbered' | 'front-and-rear';
  /** Metres across its tyres. */
  readonly width: number;
  readonly axles: readonly Axle[];
  /** Whether a unit of this module may have two tyres side by side. */
  readonly mayHaveDuals: boolean;
  readonly mostAxles: number;
}

export const TANK_CONTENTS = [
  'fuel',
  'exhaust-fluid',
  'air',
  'hydraulic-oil',
  'water',
  'foam',
  'de-icing-liquid',
] as const;
export type TankContents = (typeof TANK_CONTENTS)[number];

/** A tank of the unit. */
export interface Tank {
  readonly id: string;
  readonly title: string;
  readonly holds: TankContents;
  /** m³. */
  readonly volume?: number;
  /** Metres from the front of the unit. */
  readonly at: number;
  readonly side: 'driver' | 'curb';
}

/** A paper or a part with a date after which it is not good any more. */
export interface DatedItem {
  readonly id: string;
  readonly title: string;
  /** The last day on which it is good, `YYYY-MM-DD`. */
  readonly until: string;
}

/** A line of a rated chart: so much at this radius, for each length of the boom. */
export interface ChartRow {
  /** Metres from the axis of turning. */
  readonly radius: number;
  /** Kilograms for each length of {@link Chart.lengths}; null where the machine must not work. */
  readonly loads: readonly (number | null)[];
}

/** A rated chart of a crane: loads by radius and length of the boom. */
export interface Chart {
  readonly id: string;
  /** The configuration that it holds for: outriggers out, counterweight. */
  readonly title: string;
  /** Lengths of the boom, metres, shortest first. */
  readonly lengths: readonly number[];
  /** Shortest radius first. */
  readonly rows: readonly ChartRow[];
}

/** What stands on the card of a unit beyond single figures. */
export interface Card {
  readonly axles?: readonly Axle[];
  readonly tanks?: readonly Tank[];
  readonly dated?: readonly DatedItem[];
  readonly charts?: readonly Chart[];
}
