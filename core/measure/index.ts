export {
  BOUNDED_FIELDS,
  boundByLaw,
  buildUpTime,
  freePlayAngle,
  legalLimit,
  type LegalBound,
} from './legal-bounds';
export { isLeap } from './leap';
export {
  applicableLimits,
  findImpossible,
  judgeReading,
  soundRange,
  type AppliedLimit,
  type Impossible,
  type Judgement,
  type SoundRange,
} from './judge-reading';
export { unitOf } from './unit-of';
