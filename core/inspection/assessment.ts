import type { Finding, Graded, KnownDefect, Policy, UnreadRepair, Verdict } from '../grading';
import type { Judgement } from '../measure';
import type { CheckInstance, Rig } from '../rig';
import type { Answer } from './answers';
import type { Inspection } from './inspection';

export type InstanceState =
  'unanswered' | 'sound' | 'note' | 'minor' | 'major' | 'not-looked' | 'again';

export interface InstanceAssessment {
  readonly instance: CheckInstance;
  readonly state: InstanceState;
  readonly answer?: Answer;
  readonly judgement?: Judgement;
  readonly graded?: Graded;
  /** A fault that does not stop was named without the number that the check asks for: it is still asked. */
  readonly asksReading?: true;
}

export interface Assessment {
  readonly byKey: ReadonlyMap<string, InstanceAssessment>;
  readonly answered: number;
  readonly total: number;
  /** Instances that still need an answer, in the rig's order. */
  readonly missing: readonly CheckInstance[];
  readonly findings: readonly Finding[];
  readonly verdict: Verdict;
  /** Checks that must not be made, by key, each with what bars it. */
  readonly barred: ReadonlyMap<string, InstanceAssessment>;
  /** Keys of checks at which a defect that stops is open since an earlier walk, and which have no answer on this one. */
  readonly openStops: ReadonlySet<string>;
}

export interface AssessRequest {
  readonly inspection: Inspection;
  readonly rig: Rig;
  /** Of each unit by its id; see policiesOfWalk. */
  readonly policiesOf: (unitId: string) => readonly Policy[];
  readonly known: readonly KnownDefect[];
  readonly unread: readonly UnreadRepair[];
}
