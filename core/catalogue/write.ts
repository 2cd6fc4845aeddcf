/**
 * Short forms in which content is written. They only fill in what most checks
 * share; nothing here knows a single check.
 */
import { LIST_SHORT, type Capability, type Circumstance, type Harm, type System } from './terms';
import type {
  Caution,
  Check,
  ContentsItem,
  Module,
  Place,
  Scale,
  Shape,
  Signal,
  Symptom,
  Worsening,
} from './types';

type CheckDraft = Pick<
  Check,
  'id' | 'title' | 'zone' | 'method' | 'seconds' | 'criterion' | 'symptoms' | 'why'
> &
  Partial<Check>;

/** A check with the usual values: both phases, no helper, nothing needed. */
export function check(draft: CheckDraft): Check {
  return {
    phases: ['pre-trip'],
    needs: [],
    helper: 'none',
    fixes: [],
    cautions: [],
    ...draft,
  };
}

type SymptomExtras = Partial<Omit<Symptom, 'id' | 'words' | 'system' | 'harm'>>;

/** A symptom; one that stops takes `road` away, and is not the driver's to mend, unless it says otherwise. */
export function symptom(
  id: string,
  words: string,
  system: System,
  harm: Harm,
  extras: SymptomExtras = {},
): Symptom {
  const { fixable = harm !== 'stop', ...rest } = extras;
  return { id, words, system, harm, takes: ['road'], fixable, ...rest };
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
  Partial<Module>;

/** A module with the usual values: unpowered, nothing carried, nothing asked for. */
export function module(draft: ModuleDraft): Module {
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
    checks: withShortLists(draft.checks, draft.contents ?? []),
  };
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
              { fixable: true },
            ),
          ],
          fixes: check.fixes.length > 0 ? check.fixes : ['Put in what was missing'],
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

/** A wheel seen from above, by its centre. */
export function wheelShape(x: number, y: number, width = 0.28): Shape {
  return rect('wheel', x - 0.52, y - width / 2, 1.04, width, 0.08);
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
