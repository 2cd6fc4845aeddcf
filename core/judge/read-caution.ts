/** A condition that a printed caution states, as far as a plan can keep or break it. */
export type CautionedState =
  | 'engine off'
  | 'engine cold'
  | 'key in the pocket'
  | 'chocks in'
  | 'power take-off out'
  | 'propped'
  | 'blade on the ground';

const SAYS: readonly (readonly [RegExp, CautionedState])[] = [
  [/\bkeys? (?:in your pocket|with you|on you)\b/i, 'key in the pocket'],
  [/\bchocks in\b(?! and your)/i, 'chocks in'],
  [/\bengine off\b/i, 'engine off'],
  [/\bwith the engine cold\b|\bnever open (?:the cap while|it) hot\b/i, 'engine cold'],
  [/\bpower take-off out\b/i, 'power take-off out'],
  [/\bnever under a raised body (?:that is not propped|without)\b/i, 'propped'],
  [/\bblade on the ground\b/i, 'blade on the ground'],
];

/**
 * What a caution asks of the vehicle, read from its words. One that warns of an act ("before you reach under") is asked of whoever
 * does that act: the judge holds it only against checks that reach.
 */
export function readCaution(words: string): readonly CautionedState[] {
  return SAYS.filter(([says]) => says.test(words)).map(([, state]) => state);
}

/** Whether the caution speaks to whoever reaches in or under, not to everybody at the stop. */
export function speaksToReach(words: string): boolean {
  return /\breach\b|\bunder\b|\bhands?\b|\bfeet\b|\bcuffs\b|\bopen\b/i.test(words);
}
