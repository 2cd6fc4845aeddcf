export {
  applicableLimits,
  applyLimit,
  soundRange,
  type AppliedLimit,
  type SoundRange,
} from './applied-limit';
export {
  BOUNDED_FIELDS,
  boundByLaw,
  buildUpTime,
  freePlayAngle,
  legalLimit,
  type LegalBound,
} from './legal-bounds';
