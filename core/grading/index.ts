export { policies, policyById, twoStepPolicy, type Grade, type Policy } from './policies';
export {
  gradeSymptom,
  worseGrade,
  worstSymptom,
  type Graded,
  type GradeRequest,
  type Reason,
} from './grade-symptom';
export {
  decideVerdict,
  type CapabilityVerdict,
  type Finding,
  type Headline,
  type Verdict,
} from './verdict';
