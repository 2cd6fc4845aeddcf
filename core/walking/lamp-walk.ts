import type { Inspection } from '../inspection';
import { mayHelperAnswer, type Stop } from '../planning';
import type { CheckInstance } from '../rig';

/** One lamp, called to whoever looks. */
export interface LampCall {
  readonly key: string;
  readonly instance: CheckInstance;
}

/** Somebody who looks has this long for one lamp, seconds. */
const LOOK = 8;
/** A call takes this long to another phone and its answer back, seconds. */
const ACROSS = 4;

/** How long one lamp is called, seconds; longer where the call goes to a second phone. */
export function callSeconds(toPhone: boolean): number {
  return toPhone ? LOOK + ACROSS : LOOK;
}

/**
 * Lamps that nobody has looked at yet, in the order of the walk. With a helper, those that a helper may answer; alone, what needs
 * somebody at the pedal is left for later.
 * @param gone units that stay behind
 */
export function callLamps(
  stops: readonly Stop[],
  { answers }: Inspection,
  withHelper: boolean,
  gone: ReadonlySet<string> = new Set(),
): LampCall[] {
  return stops
    .flatMap(({ instances }) => instances)
    .filter(({ check }) => check.needs.includes('lamps-on') && check.method === 'look')
    .filter((instance) =>
      withHelper ? mayHelperAnswer(instance) : instance.check.helper !== 'needed',
    )
    .filter(({ key, unit }) => !answers.has(key) && !gone.has(unit.id))
    .map((instance) => ({ key: instance.key, instance }));
}

/** What is called after this one: the next that has no answer, and round again for what was passed over. */
export function nextCall(
  calls: readonly LampCall[],
  { answers }: Pick<Inspection, 'answers'>,
  after: string | undefined,
): LampCall | undefined {
  const from = calls.findIndex(({ key }) => key === after) + 1;
  const round = [...calls.slice(from), ...calls.slice(0, from)];
  return round.find(({ key }) => !answers.has(key));
}

/** The symptom of a lamp that does not light, where its check has one. */
export function darkSymptomOf({ check }: CheckInstance): string | undefined {
  return check.symptoms.find(({ id, words }) => /dark|out\b|dead/i.test(`${id} ${words}`))?.id;
}
