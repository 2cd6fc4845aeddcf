export {
  GRADES,
  worseGrade,
  type Deadline,
  type Grade,
  type Policy,
  type PolicyRule,
} from './policy';
export {
  affectsSafetyPolicy,
  fireServicePolicy,
  nilDefectPolicy,
  policies,
  policyById,
  readinessPolicy,
  twoStepPolicy,
} from './policies';
export { chosenPolicyId, policiesFor, type PolicyChoice } from './choose-policy';
export {
  gradeSymptom,
  type Graded,
  type GradeRequest,
  type Reason,
  type Together,
} from './grade-symptom';
export { nameSituation, worstSymptom, type Situation } from './worst-symptom';
export { dueOf, type Due } from './deadline';
export {
  conditionsThatStand,
  decideVerdict,
  type CapabilityVerdict,
  type Finding,
  type Headline,
  type Lifted,
  type Verdict,
} from './verdict';
export { findObjections, type JobRequest, type Objection } from './job';
export { gradingTable, type TableRow } from './table';
