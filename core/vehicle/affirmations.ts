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
  // Everything of this rig that could be out is in: asked before the first roll where nobody has said it.
  'all-stowed',
  // The pedal is held by whom the check names.
  'pedal-held',
  // A check of content that this version does not know asks for something; the driver sees to it.
  'as-asked',
] as const;
export type Affirmation = (typeof AFFIRMATIONS)[number];
