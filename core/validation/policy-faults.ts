import { array, boolean, number, object, string, ValidationError } from 'yup';
import { CAPABILITIES, CIRCUMSTANCES, HARMS, SYSTEMS } from '../catalogue';
import type { Fault } from './faults';
import { GRADES, policies, type Policy } from '../grading';

const id = () =>
  string()
    .required()
    .matches(/^[a-z0-9]+([.-][a-z0-9]+)*$/, '${path} is made of small letters, digits and hyphens')
    .max(40);
const words = () => string().required().min(2).max(300);
const grade = () => string().oneOf([...GRADES]);
const system = () =>
  string()
    .oneOf([...SYSTEMS])
    .required();

const policySchema = object({
  id: id(),
  title: words(),
  why: words(),
  source: words(),
  words: object({ sound: words(), note: words(), minor: words(), major: words() })
    .noUnknown()
    .required(),
  gradeOf: object({
    watch: grade().required(),
    repair: grade().required(),
    stop: string()
      .oneOf(['major'], '${path} must be major: what stops a vehicle stops it everywhere')
      .required(),
  })
    .noUnknown()
    .required(),
  rules: array(
    object({
      id: id(),
      harms: array(
        string()
          .oneOf([...HARMS])
          .required(),
      )
        .min(1)
        .required(),
      systems: array(system()).min(1),
      takes: array(
        string()
          .oneOf([...CAPABILITIES])
          .required(),
      ).min(1),
      when: array(
        string()
          .oneOf([...CIRCUMSTANCES])
          .required(),
      ).min(1),
      whenNeeded: boolean(),
      grade: grade().required(),
      alsoTakes: array(
        string()
          .oneOf([...CAPABILITIES])
          .required(),
      ),
      because: words(),
      source: words(),
    }).noUnknown(),
  ).required(),
  schedule: object({
    standard: string().oneOf(['nsc-13']).required(),
    houseStricter: boolean().required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  minorsMakeMajor: number().integer().min(2).max(20),
  deadlines: array(
    object({
      grade: string().oneOf(['note', 'minor', 'major']).required(),
      systems: array(system()).min(1),
      hours: number()
        .min(0)
        .max(24 * 366)
        .required(),
      source: words(),
    }).noUnknown(),
  ).required(),
  deferrable: array(
    string().oneOf(['note', 'minor'], '${path}: a major defect cannot be put off').required(),
  ).required(),
  signatures: object({
    repair: string().oneOf(['mechanic', 'mechanic-and-agent']).required(),
    noRepairNeeded: boolean().required(),
    ownReport: boolean().required(),
    officerReleases: boolean().required(),
  })
    .noUnknown()
    .required(),
  report: object({
    nilDefect: string().oneOf(['always', 'optional']).required(),
    validHours: number().min(1).max(72).required(),
  })
    .noUnknown()
    .required(),
  keepDays: number()
    .integer()
    .min(92, '${path} must be at least 92: reports are kept three months by law')
    .required(),
  returnWithin: object({
    days: number().min(1).max(400).required(),
    km: number().min(0).max(100_000).required(),
  })
    .noUnknown()
    .required(),
}).noUnknown();

/**
 * Every fault of a policy that somebody brings, each with the place where it stands; empty when it may be
 * used. A missing rule is a fault: nothing is filled in silently.
 */
export function findPolicyFaults(value: unknown): Fault[] {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return [{ code: 'not-an-object', what: 'policy' }];
  try {
    policySchema.validateSync(value, { abortEarly: false, strict: true });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return error.errors.map((words) => ({ code: 'shape', words }));
  }
  const policy = value as Policy;
  const faults: Fault[] = [];
  if (policies.some((each) => each.id === policy.id))
    faults.push({ code: 'name-of-shipped-policy', at: 'id', id: policy.id });
  if (GRADES.indexOf(policy.gradeOf.repair) < GRADES.indexOf('minor'))
    faults.push({ code: 'repair-is-no-note', at: 'gradeOf.repair' });
  for (const name of ['minor', 'major'] as const)
    if (!policy.deadlines.some((each) => each.grade === name && !each.systems))
      faults.push({ code: 'no-deadline', at: 'deadlines', grade: name });
  const ids = policy.rules.map((rule) => rule.id);
  for (const each of new Set(ids))
    if (ids.filter((other) => other === each).length > 1)
      faults.push({ code: 'twice', at: 'rules', what: 'rule', id: each });
  return faults;
}
