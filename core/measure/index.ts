/** What is measured: `limits` is what a reading is held against, `reading` how it is judged. */
export {
  applicableLimits,
  BOUNDED_FIELDS,
  boundByLaw,
  buildUpTime,
  freePlayAngle,
  legalLimit,
  soundRange,
  type AppliedLimit,
  type LegalBound,
  type SoundRange,
} from './limits';
export {
  findImpossible,
  isLeap,
  judgeReading,
  unitOf,
  type Impossible,
  type Judgement,
} from './reading';
