import type { Combination, Service } from '../../catalogue';

/** Small faults that are dangerous together. */
export const trailerCombinations: readonly Combination[] = [
  {
    id: 'tag-trailer.breakaway-weak-and-frayed',
    parts: [
      { check: 'tag-trailer.coupling.breakaway', symptoms: ['breakaway-frayed'] },
      { check: 'tag-trailer.coupling.breakaway-battery', symptoms: ['breakaway-weak'] },
    ],
    harm: 'stop',
    takes: ['road'],
    because: 'the cable may tear and the battery may not hold the brakes',
  },
  {
    id: 'tag-trailer.eye-worn-and-latch-weak',
    parts: [
      { check: 'tag-trailer.coupling.eye', symptoms: ['eye-worn'] },
      { check: 'tag-trailer.coupling.chain', symptoms: ['hook-latch'] },
    ],
    harm: 'stop',
    takes: ['road'],
    because: 'if the worn eye lets go, the chain may unhook as well',
  },
];

/** Usual services of a tag trailer; the manual of the unit comes first. */
export const trailerServices: readonly Service[] = [
  {
    id: 'tag-trailer.weekly',
    title: 'Weekly check: tyre pressures, breakaway battery',
    every: { days: 7 },
  },
  { id: 'tag-trailer.hubs', title: 'Wheel bearings and hub oil', every: { days: 182 } },
  {
    id: 'tag-trailer.yearly-inspection',
    title: 'Yearly inspection',
    every: { days: 365 },
    source: '49 CFR 396.17',
  },
];
