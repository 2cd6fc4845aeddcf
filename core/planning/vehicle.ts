/** What a driver vouches for where no clock and no lamp can tell it. */
export const AFFIRMATIONS = [
  'engine-cold',
  'air-up',
  'oil-warm',
  'oil-settled',
  'engine-warm',
  'exhaust-clean',
  'three-points',
  'area-clear',
] as const;
export type Affirmation = (typeof AFFIRMATIONS)[number];

/** What is waited for. */
export type Clock = 'air' | 'oil' | 'cold' | 'settle' | 'warm' | 'clean';
