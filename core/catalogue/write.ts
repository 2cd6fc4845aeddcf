/**
 * Short forms in which content is written. They only fill in what most checks
 * share; nothing here knows a single check.
 */
import type {
  Capability,
  Caution,
  Check,
  Circumstance,
  Harm,
  Scale,
  Signal,
  Symptom,
  System,
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

export function caution(signal: Signal, words: string): Caution {
  return { signal, words };
}

export function worse(circumstance: Circumstance, harm: Harm, because: string) {
  return { in: circumstance, harm, because };
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
