import type { Phase } from '../catalogue';

/** How the vehicle stands when the walk begins. */
export interface Outset {
  readonly phase: Phase;
  readonly freezing: boolean;
  /** It has no air brakes, or it was driven just now. */
  readonly airUp: boolean;
  /** The engine has just been shut down. */
  readonly warm: boolean;
  /** Somebody has started the engine already. */
  readonly running: boolean;
  /** In the middle of a walk: how it stands now. */
  readonly now?: StandingNow;
}

/** A vehicle in the middle of a walk. Seconds until a clock has run down; Infinity for one that was never started. */
export interface StandingNow {
  /** Key of the zone where the driver stands. */
  readonly zone?: string;
  readonly key: boolean;
  readonly lamps: boolean;
  readonly released: boolean;
  readonly chocks: boolean;
  readonly powerTakeOff: boolean;
  readonly propped: boolean;
  readonly platform: boolean;
  readonly outriggers: boolean;
  readonly hood: boolean;
  readonly airIn: number;
  readonly oilIn: number;
  readonly coldIn: number;
  readonly settledIn: number;
  readonly warmIn: number;
  /** A parked cleaning of the exhaust runs that long. */
  readonly cleanIn: number;
}
