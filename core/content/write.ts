/**
 * Short forms in which content is written. They only fill in what most checks
 * share; nothing here knows a single check.
 */
import { meaningOf } from '../vehicle';
import { withChassisParts } from './chassis/parts';
import { withListed } from '../schedules';
import {
  LIST_SHORT,
  type Capability,
  type Circumstance,
  type Harm,
  type HeldBy,
  type Method,
  type Need,
  type PowerSource,
  type Round,
  type System,
  type UseStep,
  Caution,
  Check,
  ContentsItem,
  Module,
  Movement,
  Place,
  Scale,
  Shape,
  Signal,
  Symptom,
  Worsening,
} from '../catalogue';

type CheckDraft = Pick<
  Check,
  'id' | 'title' | 'zone' | 'method' | 'seconds' | 'criterion' | 'symptoms' | 'why'
> &
  Partial<Check> & {
    /** Every check of ours has the noun of its part. */
    readonly partName: string;
    /** Where it stands in the use of its machine, where that does not follow from what it moves and needs. */
    readonly inUse?: UseStep;
    /** How a driver puts a symptom right on the spot, by the id of the symptom: what wipes a lens does not mend a broken one. */
    readonly fixes?: Readonly<Record<string, readonly string[]>>;
  };

/**
 * A check with the usual values: before work, no helper, nothing needed.
 * @throws {RangeError} where a fix is of a symptom that the check does not have
 */
export function check({ fixes = {}, inUse, ...draft }: CheckDraft): Check {
  for (const id of Object.keys(fixes))
    if (!draft.symptoms.some((each) => each.id === id))
      throw new RangeError(
        `The check ${draft.id} has a fix for ${id}, which is none of its symptoms.`,
      );
  return {
    phases: ['pre-trip'],
    needs: [],
    helper: 'none',
    cautions: [],
    ...(inUse && { use: { of: '', step: inUse } }),
    ...draft,
    symptoms: draft.symptoms.map((each) =>
      Object.hasOwn(fixes, each.id) ? { ...each, fixes: fixes[each.id] } : each,
    ),
  };
}

/** Moved by the hand that tries it: a latch, a lid, a strap. */
export const BY_HAND: Movement = {
  part: 'hand',
  by: 'hand',
  held: 'no-matter',
  clear: 'hand',
  ends: 'as-before',
  proves: [],
};

/**
 * Moved by a power that can move it when nobody wants it to.
 * @param proves what is lost when it could not be tried
 */
export function moved(
  part: string,
  by: PowerSource,
  proves: readonly Capability[],
  more: Partial<Pick<Movement, 'ends' | 'takesAway' | 'clear'>> & { readonly held?: HeldBy } = {},
): Movement {
  return { part, by, held: 'brake', clear: 'zone', ends: 'as-before', proves, ...more };
}

type SymptomExtras = Partial<Omit<Symptom, 'id' | 'words' | 'system' | 'harm'>>;

/** A symptom; it takes `road` away when it stops, unless it says otherwise. */
export function symptom(
  id: string,
  words: string,
  system: System,
  harm: Harm,
  extras: SymptomExtras = {},
): Symptom {
  return { id, words, system, harm, takes: ['road'], ...extras };
}

/** Short forms for the faults of one class of part, which take the same capabilities away. */
export function faultsOf(system: System, takes: readonly Capability[] = ['road']) {
  const of =
    (harm: Harm) =>
    (id: string, words: string, extras: SymptomExtras = {}): Symptom =>
      symptom(id, words, system, harm, { takes, ...extras });
  return { stops: of('stop'), repairs: of('repair'), watches: of('watch') };
}

type ModuleDraft = Pick<
  Module,
  | 'id'
  | 'title'
  | 'build'
  | 'vehicleClass'
  | 'length'
  | 'width'
  | 'height'
  | 'zones'
  | 'shapes'
  | 'checks'
> &
  Partial<Module> & {
    /** Endings of ids of checks that are no part of what moves: decals, lamps, papers. */
    readonly apart?: readonly string[];
    /** Of a chassis with a machine of its own: by the second word of the ids, the movements that a part belongs to. */
    readonly machine?: Readonly<Record<string, readonly string[]>>;
  };

/** A module with the usual values: unpowered, nothing carried, nothing asked for. */
export function module({ apart = [], machine = {}, ...draft }: ModuleDraft): Module {
  const checks = withUse(withParts(withReach(draft), draft.build, apart, machine), draft.id);
  return {
    powered: false,
    airBrakes: false,
    capabilities: [],
    joints: {},
    mounts: [],
    gives: [],
    requires: [],
    specification: [],
    places: [],
    procedures: [],
    contents: [],
    combinations: [],
    services: [],
    ...draft,
    checks: withListed(
      withShortLists(checks, draft.contents ?? []),
      draft.vehicleClass === 'passenger',
    ),
  };
}

const BY_HANDS: ReadonlySet<Method> = new Set([
  'feel',
  'shake',
  'grease',
  'drain',
  'measure',
  'clean',
]);
/** What somebody reaches into, under or between. */
const IN_REACH: ReadonlySet<Round> = new Set(['outside', 'engine-bay']);
const SAID_BY_SECURED: ReadonlySet<Need> = new Set([
  'secured',
  'engine-off',
  'chocked',
  'parking-brake-set',
  'key-in-pocket',
  'power-take-off-out',
]);

/**
 * Whoever has hands in, under or between is there with the engine off, the key in the pocket, the brake set and chocks in, unless the
 * check itself wants engine, key, lamps or a released brake. Written once here, so that no check forgets it.
 */
function withReach({ checks, zones }: Pick<ModuleDraft, 'checks' | 'zones'>): Check[] {
  const rounds = new Map(zones.map(({ id, round }) => [id, round]));
  return checks.map((check) => {
    const round = rounds.get(check.zone) ?? 'outside';
    const moves = check.moves !== undefined && check.moves.by !== 'hand';
    if (moves || !IN_REACH.has(round) || wantsPower(check) || check.does) return check;
    const reaches =
      BY_HANDS.has(check.method) || round === 'engine-bay' || check.needs.includes('chocked');
    if (!reaches && !check.needs.includes('secured')) return check;
    return {
      ...check,
      needs: ['secured', ...check.needs.filter((need) => !SAID_BY_SECURED.has(need))],
    };
  });
}

/** It wants something that a secured vehicle does not give. */
function wantsPower({ needs }: Check): boolean {
  return needs.some((need) => {
    const states = meaningOf(need)?.states;
    if (!states || need === 'secured') return false;
    return (
      (states.engine && !states.engine.includes('off')) ||
      (states.key && !states.key.includes('pocket')) ||
      (states.brake && !states.brake.includes('set')) ||
      (states.chocks && !states.chocks.includes('in')) ||
      (states.ownEngine && !states.ownEngine.includes('off'))
    );
  });
}

/** Everything of a piece of equipment is part of what moves in it, but for what is named apart. */
function withParts(
  checks: readonly Check[],
  build: Module['build'],
  apart: readonly string[],
  machine: Readonly<Record<string, readonly string[]>>,
): Check[] {
  if (build === 'chassis')
    return withChassisParts(
      checks.map((check) => {
        const parts = machine[check.id.split('.')[1] ?? ''];
        return check.partOf || !parts ? check : { ...check, partOf: parts };
      }),
    );
  const parts = [
    ...new Set(checks.flatMap(({ moves }) => (moves && moves.by !== 'hand' ? [moves.part] : []))),
  ];
  return checks.map((check) =>
    check.partOf || apart.some((ending) => check.id.endsWith(`.${ending}`))
      ? check
      : { ...check, partOf: parts },
  );
}

/** Something runs, or stands otherwise than it is parked: whoever looks at it so looks after the set-up. */
const RUNNING_OR_OUT: ReadonlySet<Need> = new Set([
  'engine-idling',
  'engine-working',
  'power-take-off',
  'own-engine-running',
  'lift-power-on',
  'lift-door-open',
  'platform-down',
  'outriggers-set',
  'body-raised',
  'boom-raised',
]);

/** What is asked before a use has its place in that use. */
function withUse(checks: readonly Check[], of: string): Check[] {
  const used = checks.some((check) => check.use || (isOfUse(check) && isTrial(check)));
  if (!used) return [...checks];
  return checks.map((check) =>
    isOfUse(check) ? { ...check, use: { of, step: check.use?.step ?? stepInUse(check) } } : check,
  );
}

const isOfUse = ({ phases }: Check) => phases.includes('before-use');

const isTrial = ({ moves, needs }: Check) =>
  (moves !== undefined && moves.by !== 'hand' && moves.by !== 'electric') ||
  needs.some((need) => RUNNING_OR_OUT.has(need));

function stepInUse(check: Check): UseStep {
  if (check.does?.includes('own-engine-start')) return 'start';
  return isTrial(check) ? 'trial' : 'look';
}

/** What is counted can be short: every check that a list names has the symptom for it. */
function withShortLists(checks: readonly Check[], contents: readonly ContentsItem[]): Check[] {
  const counted = new Set(contents.map((item) => item.check));
  return checks.map((check) =>
    counted.has(check.id)
      ? {
          ...check,
          symptoms: [
            ...check.symptoms,
            symptom(
              LIST_SHORT,
              'Something on its list is missing or past its date',
              check.symptoms[0].system,
              'repair',
              { fixes: ['Put in what was missing'] },
            ),
          ],
        }
      : check,
  );
}

/** A place; `sorts` says which checks are asked of it. */
export function place(
  id: string,
  title: string,
  sorts: readonly string[],
  zone: string,
  x: number,
  y: number,
): Place {
  return { id, title, sorts, zone, x, y };
}

/** A rectangle of the drawing from its upper left corner, metres. */
export function rect(
  role: Shape['role'],
  x: number,
  y: number,
  length: number,
  width: number,
  round?: number,
): Shape {
  return { kind: 'rect', role, x, y, length, width, ...(round !== undefined && { round }) };
}

export function caution(signal: Signal, words: string): Caution {
  return { signal, words };
}

export function worse(circumstance: Circumstance, harm: Harm, because: string): Worsening {
  return { in: circumstance, harm, because };
}

/** Weighs more when today's job needs the capability. */
export function worseWhenNeeded(needed: Capability, harm: Harm, because: string): Worsening {
  return { needed, harm, because };
}

/** Leak classes: 1 wet and no drop, 2 a drop hangs, 3 drops fall. */
export function leakScale(harms: readonly [Harm, Harm, Harm]): Scale {
  return {
    question: 'Wipe it and watch for a minute. How does it leak?',
    steps: [
      { id: 'class-1', words: 'Wet or stained, no drop forms', harm: harms[0] },
      { id: 'class-2', words: 'A drop forms and hangs', harm: harms[1] },
      { id: 'class-3', words: 'Drops fall', harm: harms[2] },
    ],
  };
}

/** A leak of a fluid; what class 3 takes away depends on what the fluid serves. */
export function leak(
  id: string,
  words: string,
  system: System,
  harms: readonly [Harm, Harm, Harm] = ['watch', 'repair', 'stop'],
  takes: readonly Capability[] = ['road'],
): Symptom {
  return symptom(id, words, system, harms[2], {
    scale: leakScale(harms),
    takes,
    condition: 'Read the level again at the next stop.',
  });
}

export const rustScale: Scale = {
  question: 'Tap it with the handle. How deep is the rust?',
  steps: [
    { id: 'surface', words: 'On the surface, rings sound', harm: 'repair' },
    { id: 'through', words: 'Flakes off or goes through', harm: 'stop' },
  ],
};
