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
  type Limitation,
  type Reason,
  type Together,
} from './grade-symptom';
export {
  isUnclear,
  OTHER_QUESTIONS,
  somethingElse,
  type OtherAnswers,
  type OtherQuestion,
} from './something-else';
export { allOf } from './all-of';
export { nameSituation, worstSymptom, type CountsAt, type Situation } from './worst-symptom';
export { barsMovement, findBarred, type Looked } from './bars';
export { barredFinding, gapFinding, type Gap } from './not-looked';
export { openFinding, unreadFinding, type KnownDefect, type UnreadRepair } from './open-defect';
export { addUpMinors } from './minors-add-up';
export { markLifted } from './lifted';
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
export { findObjections, type JobRequest, type LeftOutItem, type Objection } from './job';
export {
  reportedParts,
  scheduleTable,
  type ReportedRow,
  type ScheduleRow,
  type ScheduleTable,
} from './schedule-table';
export { gradingTable, type TableRow } from './table';
