import {
  dueOf,
  nameSituation,
  worseGrade,
  worstSymptom,
  type Finding,
  type Lifted,
  type Policy,
  type Reason,
  type Situation,
} from '../grading';
import type { CheckInstance } from '../rig';
import type { AssessRequest, InstanceAssessment, KnownDefect } from './assess';

/** What a gap on one unit is weighed under; the same name means the same weights. */
export interface NamedSituation extends Situation {
  readonly name: string;
}

export function named(situation: Situation): NamedSituation {
  return { ...situation, name: nameSituation(situation) };
}

function titleOf({ check, place }: CheckInstance): string {
  return place ? `${check.title} (${place.title})` : check.title;
}

/** Not looked is not sound: it weighs as the worst that the check could have shown. */
export function toFinding(
  { instance, state, graded, answer }: InstanceAssessment,
  situation: NamedSituation,
): Finding[] {
  if (state === 'unanswered') return [unansweredFinding(instance, situation)];
  if (state === 'again')
    return [gapFinding(instance, { code: 'measure-again', words: '' }, situation)];
  if (state === 'not-looked') {
    const words = answer?.outcome === 'not-looked' ? answer.reason : '';
    return [gapFinding(instance, { code: 'not-looked', words }, situation)];
  }
  if (!graded || graded.grade === 'sound') return [];
  const { key: about, unit } = instance;
  return [{ kind: 'fault', about, unitId: unit.id, title: titleOf(instance), ...graded }];
}

function gapFinding(instance: CheckInstance, reason: Reason, situation: Situation): Finding {
  const worst = worstSymptom(instance.check.symptoms, situation);
  return {
    kind: 'gap',
    about: instance.key,
    unitId: instance.unit.id,
    title: titleOf(instance),
    grade: worst.grade,
    blocks: worst.blocks,
    chain: [reason, ...worst.chain],
  };
}

/** Most of a walk is unanswered most of the time, and each touch asks again: made once per situation. */
const unanswered = new WeakMap<
  CheckInstance,
  { readonly name: string; readonly finding: Finding }
>();

function unansweredFinding(instance: CheckInstance, situation: NamedSituation): Finding {
  const known = unanswered.get(instance);
  if (known?.name === situation.name) return known.finding;
  const finding = gapFinding(instance, { code: 'unanswered', words: '' }, situation);
  unanswered.set(instance, { name: situation.name, finding });
  return finding;
}

/** Open defects that this walk has not looked at again, and repairs nobody has read. */
export function carriedFindings(
  { known, unread, inspection, policiesOf }: AssessRequest,
  byKey: ReadonlyMap<string, InstanceAssessment>,
): Finding[] {
  const now = inspection.begun?.at ?? inspection.lastAt;
  const open = known
    // A fault found again at the same place carries its own, present grade; the worse of both counts.
    .filter((defect) => {
      const again = byKey.get(defect.key)?.graded?.grade;
      return (
        !again || worseGrade(again, defect.grade) !== again || isOverdue(defect, now, policiesOf)
      );
    })
    .map((defect) => toOpenFinding(defect, isOverdue(defect, now, policiesOf)));
  const repairs = unread
    .filter((repair) => !inspection.acknowledged.has(repair.defectId))
    .map((repair): Finding => ({
      kind: 'repair-unread',
      about: repair.defectId,
      unitId: repair.unitId,
      title: repair.title,
      grade: 'major',
      blocks: ['road'],
      chain: [{ code: 'repair-unread', words: repair.words }],
    }));
  return [...open, ...repairs];
}

function toOpenFinding(defect: KnownDefect, overdue: boolean): Finding {
  const chain: Reason[] = [{ code: 'known-open', words: defect.words }];
  if (overdue) chain.push({ code: 'overdue', words: defect.until ?? '' });
  return {
    kind: 'known-open',
    about: defect.id,
    unitId: defect.unitId,
    title: defect.title,
    grade: overdue ? 'major' : defect.grade,
    blocks: overdue && defect.blocks.length === 0 ? ['road'] : defect.blocks,
    chain,
    condition: overdue ? undefined : defect.condition,
    bars: overdue ? undefined : defect.bars,
    mostKmh: overdue ? undefined : defect.mostKmh,
  };
}

/** A minor defect past the day it had to be mended by, or past the day it was put off to, is no minor any more. */
function isOverdue(
  defect: KnownDefect,
  now: number,
  policiesOf: (unitId: string) => readonly Policy[],
): boolean {
  if (defect.grade !== 'minor') return false;
  if (defect.until !== undefined) return now >= Date.parse(`${defect.until}T24:00:00Z`);
  if (defect.reportedAt === undefined) return false;
  const due = dueOf(policiesOf(defect.unitId), 'minor', defect.system, defect.reportedAt);
  return due !== undefined && now > due.at;
}

/** Several minor faults in one class of parts of one unit are a major where the unit's policy says so. */
export function addUpMinors(
  findings: readonly Finding[],
  { rig, known, policiesOf }: AssessRequest,
): Finding[] {
  const systems = new Map(rig.instances.map(({ key, check }) => [key, check.symptoms[0].system]));
  for (const { id, key, system } of known) {
    const of = system ?? systems.get(key);
    if (of) systems.set(id, of);
  }
  const counts = new Map<string, number>();
  const groupOf = ({ kind, grade, unitId, about }: Finding) =>
    (kind === 'fault' || kind === 'known-open') && grade === 'minor'
      ? `${unitId}/${systems.get(about) ?? ''}`
      : undefined;
  for (const finding of findings) {
    const group = groupOf(finding);
    if (group) counts.set(group, (counts.get(group) ?? 0) + 1);
  }
  return findings.map((finding) => {
    const group = groupOf(finding);
    const count = group ? (counts.get(group) ?? 0) : 0;
    const from = Math.min(
      ...policiesOf(finding.unitId).map(({ minorsMakeMajor }) => minorsMakeMajor ?? Infinity),
    );
    if (count < from) return finding;
    const reason: Reason = { code: 'minors-add-up', words: String(count) };
    const { condition: _, bars: __, mostKmh: ___, ...rest } = finding;
    return { ...rest, grade: 'major', blocks: ['road'], chain: [...finding.chain, reason] };
  });
}

/**
 * Marks what a supervisor took the condition off. Only a minor finding can be lifted: an override of
 * anything else changes nothing, whatever the log says.
 */
export function markLifted(
  findings: readonly Finding[],
  overrides: AssessRequest['inspection']['overrides'],
): Finding[] {
  return findings.map((finding) => {
    const override = overrides.get(finding.about);
    if (!override || finding.grade !== 'minor') return finding;
    const lifted: Lifted = { by: override.actorId, at: override.at, words: override.words };
    return { ...finding, lifted };
  });
}
