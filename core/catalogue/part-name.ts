import type { Check } from './types';

/** The part that a check looks at, a noun for lists and reports; where a catalogue of before has none, the instruction stands in. */
export const partOf = (check: Pick<Check, 'title' | 'partName'>): string =>
  check.partName ?? check.title;

/** A part and where it is: `Wheel nuts, left steer`. */
export const atPlace = (part: string, place: string | null | undefined): string =>
  place ? `${part}, ${place}` : part;

/** The part that a check looks at at one of its places: `Wheel nuts, left steer`. */
export const partAt = (
  check: Pick<Check, 'title' | 'partName'>,
  place: { readonly title: string } | undefined,
): string => atPlace(partOf(check), place?.title);

/** A fault in one line: `Wheel nuts, left steer: one nut loose or missing`. */
export const faultLine = (
  part: string,
  place: string | null | undefined,
  symptom: string,
): string => `${atPlace(part, place)}: ${inSentence(symptom)}`;

/** Words within a sentence; what begins with an abbreviation keeps it. */
const inSentence = (words: string): string =>
  /^\p{Lu}\p{Ll}/u.test(words) || /^A /.test(words)
    ? words.charAt(0).toLowerCase() + words.slice(1)
    : words;
