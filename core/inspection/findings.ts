import {
  dueOf,
  nameSituation,
  worseGrade,
  worstSymptom,
  type CompanyOf,
  type Finding,
  type Lifted,
  type Policy,
  type Reason,
  type Situation,
} from '../grading';
import type { CheckInstance } from '../rig';
import type { Company } from './alike';
import type { AssessRequest, InstanceAssessment, KnownDefect } from './assessment';
import { companyAt } from './alike';

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

/**
 * Not looked is not sound: it weighs as the worst that the check could have shown.
 * @param more.barred a fault bars the test: then it takes only the capability that it would have proved; the fault takes its own
 * @param more.mended what was done to it since the walk was signed, where that is certified, read and looked at
 */
export function toFinding(
  { instance, state, graded, answer }: InstanceAssessment,
  situation: NamedSituation,
  company: Company,
  { barred = false, mended }: { readonly barred?: boolean; readonly mended?: string } = {},
): Finding[] {
  if (state === 'unanswered') return [unansweredFinding(instance, situation)];
  if (state === 'again')
    return [gapFinding(instance, { code: 'measure-again', words: '' }, situation)];
  if (state === 'not-looked') {
    const words = answer?.outcome === 'not-looked' ? answer.reason : '';
    const of = companyAt(instance, company);
    const gap = gapFinding(instance, { code: 'not-looked', words }, situation, of);
    const { moves } = instance.check;
    if (!barred || !moves) return [gap];
    return [{ ...gap, grade: 'major', blocks: moves.proves, further: undefined }];
  }
  if (!graded || graded.grade === 'sound') return [];
  const { key: about, unit } = instance;
  if (mended !== undefined) {
    const chain: Reason[] = [...graded.chain, { code: 'mended-since', words: mended }];
    const title = titleOf(instance);
    return [{ kind: 'fault', about, unitId: unit.id, title, grade: 'note', blocks: [], chain }];
  }
  return [{ kind: 'fault', about, unitId: unit.id, title: titleOf(instance), ...graded }];
}

function gapFinding(
  instance: CheckInstance,
  reason: Reason,
  situation: Situation,
  company?: CompanyOf,
): Finding {
  const { policyId: _, ...worst } = worstSymptom(instance.check.symptoms, situation, company);
  return {
    kind: 'gap',
    about: instance.key,
    unitId: instance.unit.id,
    title: titleOf(instance),
    ...worst,
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
    further: overdue ? undefined : defect.further,
    ...(defect.system && { systems: [defect.system] }),
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

/**
 * Several minor faults in one class of parts of one unit are a major where the unit's policy says so. What nobody has looked at counts
 * as a fault of each class that it could be.
 */
export function addUpMinors(
  findings: readonly Finding[],
  { rig, policiesOf }: Pick<AssessRequest, 'rig' | 'policiesOf'>,
): Finding[] {
  const systemOfCheck = new Map(
    rig.instances.map(({ key, check }) => [key, check.symptoms[0].system]),
  );
  const groupsOf = ({ kind, grade, unitId, about, systems, chain }: Finding): string[] => {
    const counts =
      kind === 'fault' ||
      kind === 'known-open' ||
      (kind === 'gap' && chain[0]?.code === 'not-looked');
    if (grade !== 'minor' || !counts) return [];
    return (systems ?? [systemOfCheck.get(about) ?? '']).map((system) => `${unitId}/${system}`);
  };
  const numbers = new Map<string, number>();
  for (const finding of findings)
    for (const group of groupsOf(finding)) numbers.set(group, (numbers.get(group) ?? 0) + 1);
  return findings.map((finding) => {
    const count = Math.max(0, ...groupsOf(finding).map((group) => numbers.get(group) ?? 0));
    const from = Math.min(
      ...policiesOf(finding.unitId).map(({ minorsMakeMajor }) => minorsMakeMajor ?? Infinity),
    );
    if (count === 0 || count < from) return finding;
    const reason: Reason = { code: 'minors-add-up', words: String(count) };
    const { condition: _, bars: __, mostKmh: ___, further: ____, ...rest } = finding;
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
