/** What the model of the walk assumes; all of it can be set. Seconds, metres, metres per second. */
export interface PaceSettings {
  readonly walking: number;
  /** How far from the outline the feet go. */
  readonly aside: number;
  /** Finding one's place at a new stop. */
  readonly arriving: number;
  readonly climbUp: number;
  readonly climbDown: number;
  /** Opening the hood before the first look in, and closing it on leaving. */
  readonly hoodOpen: number;
  readonly hoodClosed: number;
  /** Tilting a cab and locking its prop, or letting it down and latching it. */
  readonly tiltCab: number;
  readonly start: number;
  readonly shutDown: number;
  readonly switching: number;
  readonly chocks: number;
  readonly powerTakeOff: number;
  readonly prop: number;
  readonly platform: number;
  readonly outriggers: number;
  /** Raising or lowering a body. */
  readonly body: number;
  readonly boom: number;
  readonly blade: number;
  /** From empty tanks to 100 psi with the engine running. */
  readonly airBuildUp: number;
  /** From engaging the power take-off until its oil is warm; in frost the longer one. */
  readonly oilWarmUp: number;
  readonly oilWarmUpInFrost: number;
  /** From the start of the engine until it is warm. */
  readonly engineWarmUp: number;
  /** A parked cleaning of the exhaust's after-treatment; the engine is not shut down under it. */
  readonly exhaustCleaning: number;
  /** From shutting down until the engine counts as cold again. */
  readonly coolDown: number;
  /** From shutting down until the engine oil has run back and can be read. */
  readonly oilSettles: number;
  /** A step back of no more than this is no reversal. */
  readonly stepBack: number;
}

export const USUAL_PACE: PaceSettings = {
  walking: 1.1,
  aside: 0.8,
  arriving: 2,
  climbUp: 6,
  climbDown: 6,
  hoodOpen: 11,
  hoodClosed: 11,
  tiltCab: 60,
  start: 20,
  shutDown: 4,
  switching: 3,
  chocks: 14,
  powerTakeOff: 6,
  prop: 25,
  platform: 20,
  outriggers: 60,
  body: 40,
  boom: 40,
  blade: 10,
  airBuildUp: 90,
  oilWarmUp: 300,
  oilWarmUpInFrost: 900,
  engineWarmUp: 300,
  exhaustCleaning: 1200,
  coolDown: 1800,
  oilSettles: 180,
  stepBack: 1.2,
};
