import type { ProcedureStep } from '../catalogue';
import type { NeverNumber } from './never';

/** How the machine stands while a sequence is walked through, as its own words leave it. */
export interface StepsBegin {
  /** Of the vehicle; of the machine itself where it is moved by an engine of its own. */
  readonly engine: boolean;
  readonly powerTakeOff: boolean;
  readonly chocks: boolean;
}

export type StepsBreach = readonly [rule: NeverNumber, words: string];

const OFF = /\bengine off\b|\bkeys? (?:in your pocket|with you|out)\b/i;
const ON = /\bengine (?:on|idling)\b|\bstart\b/i;
const TAKEN_IN = /\bpower take-off in\b/i;
const TAKEN_OUT = /\bpower take-off out\b|\beverything off\b/i;
/** Of what rolls; a trailer that stands chocked is not meant. */
const CHOCKS_IN = /\bchocks in\b/i;
const CHOCKS_OUT = /\bchocks (?:away|aboard|out)\b/i;
/** Wheels turn. */
const ROLLS =
  /\bback (?:straight|the last|up)\b|\bdrive (?:up|straight|away)\b|\bpull away\b|\btug\b|\bthe last bit\b/i;
/** Hands are between two vehicles, or at what holds the machine. */
const HANDS =
  /\bwind the jack\b|\bjack right up\b|\b(?:shut|open) the latch\b|\bcross the chains\b|\bchains? (?:on|off)\b|\ba chain at each\b|\bbinders\b|\bpins? in, clips\b|\bwipe (?:the|both|three)\b|\bseals clean\b|\bplug in\b|\bstands up and pinned\b/i;
/** Moved by the power of the truck. */
const BY_POWER = /\btilt the bed\b/i;

/**
 * What the steps of a sequence break by the order in which they are said: wheels that turn over chocks or with the power take-off in, hands
 * between while an engine runs, something moved that has no power. Each step is read by its words alone: what it says of engine, chocks
 * and power holds from there on.
 */
export function findStepsBreaches(
  steps: readonly ProcedureStep[],
  begin: StepsBegin,
): StepsBreach[] {
  let { engine, powerTakeOff, chocks } = begin;
  return steps.flatMap(({ say }): StepsBreach[] => {
    const engages = TAKEN_IN.test(say);
    if (OFF.test(say)) engine = false;
    if (ON.test(say)) engine = true;
    if (TAKEN_OUT.test(say) || !engine) powerTakeOff = false;
    if (engages) [engine, powerTakeOff] = [true, true];
    if (CHOCKS_OUT.test(say)) chocks = false;
    if (CHOCKS_IN.test(say)) chocks = true;
    const breaches: StepsBreach[] = [];
    if (ROLLS.test(say)) {
      if (powerTakeOff) breaches.push([4, `it rolls with the power take-off in: ${say}`]);
      if (chocks) breaches.push([4, `it rolls with chocks lying: ${say}`]);
    }
    if (HANDS.test(say) && engine) breaches.push([3, `hands go in with the engine on: ${say}`]);
    if (BY_POWER.test(say) && !powerTakeOff)
      breaches.push([5, `it is moved without the power take-off: ${say}`]);
    return breaches;
  });
}
