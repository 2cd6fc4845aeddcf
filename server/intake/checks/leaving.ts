import { conditionsThatStand, findObjections, type Objection } from '@nazar/core/grading';
import { certifiedAt, circumstancesOf, type Inspection } from '@nazar/core/inspection';
import { layoutOf } from '@nazar/core/planning';
import type { Rig } from '@nazar/core/rig';
import { leftStanding, settingOf, vehicleState, type LeftOut } from '@nazar/core/walking';
import { wasHeardFrom } from '../../store/heard-from';
import { listOutings, lockUnits } from '../../store/outings';
import type { Check, Held, Of } from '../held';

const HOUR = 3_600_000;
/** What is sent in several requests arrives within this, milliseconds. */
const OF_ONE_SYNC = 600_000;

export const rigMayLeave: Check<'signed-out'> = async (held, event) => {
  const { trx, units, inspection } = held;
  const unitIds = units.map(({ id }) => id);
  await lockUnits(trx, unitIds);
  const [out] = await listOutings(trx, unitIds);
  if (out) {
    const numbers = units.filter(({ id }) => out.unitIds.includes(id)).map((unit) => unit.number);
    return {
      code: 'unit-is-out',
      detail: `${numbers.join(' and ')} is out with ${out.by}. Have it returned first.`,
    };
  }
  const { rig, policiesOf, assessment } = held.standing();
  const policies = units.flatMap(({ id }) => policiesOf(id));
  const validHours = Math.min(...policies.map(({ report }) => report.validHours));
  const signedAt = inspection.signed?.at ?? 0;
  const isTooOld = (at: number) => at - signedAt > validHours * HOUR;
  if (isTooOld(event.at) || (isTooOld(held.arrivedAt) && (await isDatedBack(held, event))))
    return {
      code: 'report-too-old',
      detail: `The walk was signed more than ${validHours} hours ago. Walk round it again before it leaves.`,
    };
  const objections = findObjections({
    verdict: assessment.verdict,
    findings: assessment.findings,
    needs: event.payload.needs,
    circumstances: circumstancesOf(inspection, rig),
    officerReleases: policies.some(({ signatures }) => signatures.officerReleases),
    released: inspection.released !== undefined,
    toWorkshop: event.payload.purpose === 'workshop',
    met: new Set(inspection.lookedAgain.keys()),
    leftOut: event.payload.stowed ? [] : leftOutOf(inspection, rig),
  });
  if (objections.length === 0) return undefined;
  return { code: 'may-not-leave', detail: objections.map(toSentence).join(' ') };
};

/**
 * A phone without a network brings a sign-out late, and it counts. One that the server has heard from in the meantime would have
 * brought it then: it left later than it says.
 */
function isDatedBack({ trx, arrivedAt }: Held, event: Of<'signed-out'>): Promise<boolean> {
  return wasHeardFrom(trx, event, event.at + OF_ONE_SYNC, arrivedAt - OF_ONE_SYNC);
}

/** What was last said to be out, up or open on this walk. */
function leftOutOf(inspection: Inspection, rig: Rig): LeftOut[] {
  const { begun } = inspection;
  if (!begun) return [];
  return leftStanding(
    vehicleState(inspection, settingOf(begun, rig)),
    layoutOf(rig),
    // It leaves, whatever kind of walk it was.
    'pre-trip',
  );
}

/** The refusal names what stands against it. */
function toSentence(objection: Objection): string {
  switch (objection.code) {
    case 'missing-capability':
      return `This rig cannot do it: ${objection.capability}.`;
    case 'blocked':
      return `${objection.capability} is blocked: ${objection.findings
        .slice(0, 4)
        .map(({ title, chain }) => `${title}: ${chain[0]?.words ?? ''}`)
        .join('; ')}.`;
    case 'left-out':
      return `Still out by what was said on the walk: ${objection.items
        .map(({ change }) => change)
        .join(', ')}. Put it in and say so first.`;
    case 'before-leaving':
      return `${objection.finding.title}: ${objection.finding.condition ?? ''} Say in the sign-out that it is done.`;
    case 'condition':
      return `${objection.finding.title} allows it only so: ${objection.finding.condition ?? ''}`;
    case 'officer':
      return `Out of service: ${objection.capabilities.join(', ')}. An officer must release it first.`;
  }
}

/** A minor finding may be; a major one never. */
export const isMinorFinding: Check<'overridden'> = ({ standing }, { payload: { about } }) => {
  const finding = standing().assessment.findings.find((each) => each.about === about);
  if (!finding) return { code: 'no-such-finding' };
  if (finding.grade === 'major') return { code: 'major-not-overridden' };
  if (finding.grade !== 'minor') return { code: 'no-such-finding' };
  return undefined;
};

/** Only what asks for it is looked at again, and what the workshop has certified since. */
export const wasAskedBeforeLeaving: Check<'looked-again'> = (
  { inspection, standing },
  { payload: { about } },
) => {
  if (certifiedAt({ key: about }, inspection).length > 0) return undefined;
  const { findings } = standing().assessment;
  return conditionsThatStand(findings).some(
    (each) => each.about === about && each.bars === 'before-leaving',
  )
    ? undefined
    : { code: 'no-such-finding' };
};
