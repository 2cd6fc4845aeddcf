import { catalogue } from '@nazar/core/catalogue';
import {
  conditionsThatStand,
  findObjections,
  policyById,
  type Objection,
} from '@nazar/core/grading';
import {
  certifiedAt,
  circumstancesOf,
  permitEvent,
  type BegunPayload,
  type Inspection,
  type InspectionEvent,
} from '@nazar/core/inspection';
import {
  certify,
  countersign,
  isStale,
  OPEN_STATUSES,
  UNREAD_STATUSES,
  type DefectRecord,
  type DefectOnUnit,
} from '@nazar/core/repair';
import { layoutOf } from '@nazar/core/planning';
import type { Rig } from '@nazar/core/rig';
import { leftStanding, settingOf, vehicleState, type LeftOut } from '@nazar/core/walking';
import type { Knex } from 'knex';
import { isFoundAgainSigned, stepsOfDefect } from '../store/defect-steps';
import { findDefect } from '../store/defects';
import type { Rules } from '../store/open-inspection';
import { listOutings, lockUnits } from '../store/outings';
import { findPerson, type Person } from '../store/sessions';
import { findTag, findTagByCode } from '../store/tags';
import type { DepotUnit } from '../store/units';
import { refuseOnCourse } from './on-course';
import { rigOf } from './rig-of';
import type { RefusalCode } from './sentences';
import type { Standing } from './stand';

export interface Refused {
  readonly code: RefusalCode;
  /** Says more than the usual sentence, where there is more to say. */
  readonly detail?: string;
}

/** What an event is held against. */
export interface Held {
  readonly trx: Knex.Transaction;
  readonly person: Person;
  readonly inspection: Inspection;
  readonly units: readonly DepotUnit[];
  readonly defects: readonly DefectOnUnit[];
  /** Of every defect that this batch names and that is known already: its unit. */
  readonly unitOfDefect: ReadonlyMap<string, string>;
  readonly rules: Rules;
  /** Worked out only when it is asked for. */
  readonly standing: () => Standing;
}

type Of<T extends InspectionEvent['type']> = Extract<InspectionEvent, { type: T }>;

type Answer = Refused | undefined;

/**
 * Whether this person may add this event to this log; undefined when they may. Most of a walk is
 * answered at once; what must be looked up in the database is promised.
 */
export function findRefusal(held: Held, event: InspectionEvent): Answer | Promise<Answer> {
  const { person, inspection } = held;
  if (event.actorId !== person.id) return { code: 'other-person' };
  const refusal = permitEvent(inspection, event);
  if (refusal === 'not-sealed' && 'defectId' in event.payload) {
    const { defectId } = event.payload;
    // A defect that a signed walk has found again is no matter of the unsigned one any more.
    if (defectId !== undefined)
      return isFoundAgainSigned(held.trx, defectId).then((found) =>
        found ? refuseByKind(held, event) : { code: refusal },
      );
  }
  if (refusal) return { code: refusal };
  return refuseByKind(held, event);
}

/** What the log itself permits, held against units, people and the database. */
function refuseByKind(held: Held, event: InspectionEvent): Answer | Promise<Answer> {
  const { person, units } = held;
  if (event.type === 'begun') return refuseBegun(held, event.payload);
  if (units.some((unit) => unit.depotId !== person.depotId)) return { code: 'unit-not-yours' };
  const course = refuseOnCourse(held, event);
  if (course) return course;
  if ('key' in event.payload && !units.some((unit) => keyOfUnit(event.payload, unit)))
    return { code: 'check-of-other-unit' };
  if (isDefectElsewhere(held, event)) return { code: 'defect-of-other-unit' };
  switch (event.type) {
    case 'signed':
      return refuseOtherWalk(held);
    case 'acknowledged':
      return refuseAcknowledged(held, event.payload.defectId);
    case 'signed-out':
      return refuseSignedOut(held, event);
    case 'found':
      return refuseOtherWalk(held);
    case 'present':
      return refusePresent(held, event.payload);
    case 'overridden':
      return refuseOverridden(held, event.payload.about);
    case 'looked-again':
      return refuseOtherWalk(held) ?? refuseLookedAgain(held, event.payload.about);
    case 'released':
      return person.role === 'supervisor' ? undefined : { code: 'supervisors-only' };
    case 'assigned':
      return refuseAssigned(held, event);
    case 'worked':
      return refuseWorked(held, event.payload.defectId);
    case 'certified':
      return refuseCertified(held, event);
    case 'countersigned':
      return refuseCountersigned(held, event.payload.defectId);
    default:
      return undefined;
  }
}

function keyOfUnit(payload: object, unit: DepotUnit): boolean {
  return (payload as { key: string }).key.startsWith(`${unit.id}/`);
}

/** A defect has one unit for all its life; whoever names it speaks of that unit, or of one of their rig. */
function isDefectElsewhere({ units, unitOfDefect }: Held, { payload }: InspectionEvent): boolean {
  const { defectId, key } = payload as { readonly defectId?: string; readonly key?: string };
  const unitId = defectId === undefined ? undefined : unitOfDefect.get(defectId);
  if (unitId === undefined) return false;
  return key === undefined ? !units.some(({ id }) => id === unitId) : !key.startsWith(`${unitId}/`);
}

function refuseBegun({ person, units, rules }: Held, payload: BegunPayload): Refused | undefined {
  if (payload.unitIds.some((id) => !units.some((unit) => unit.id === id)))
    return { code: 'unit-not-yours' };
  if (units.some((unit) => unit.depotId !== person.depotId)) return { code: 'unit-not-yours' };
  if (payload.catalogueVersion !== catalogue.version) return { code: 'catalogue-unknown' };
  if (!rules.content) return { code: 'content-unknown' };
  try {
    for (const id of [payload.policyId, ...Object.values(payload.policies ?? {})])
      policyById(id, rules.own);
    rigOf(payload, { catalogue, units, content: rules.content });
  } catch (error) {
    if (error instanceof RangeError) return { code: 'no-rig' };
    throw error;
  }
  return undefined;
}

function refuseOtherWalk({ person, inspection }: Held): Refused | undefined {
  return inspection.begun?.actorId === person.id ? undefined : { code: 'other-walk' };
}

/** A driver reads what was mended on the rig that is walked round, on no other. */
async function refuseAcknowledged(held: Held, defectId: string): Promise<Refused | undefined> {
  const other = refuseOtherWalk(held);
  if (other) return other;
  const known = held.defects.find(({ id }) => id === defectId);
  if (known && UNREAD_STATUSES.includes(known.status)) return undefined;
  const defect = await findDefect(held.trx, defectId);
  if (!defect || !held.units.some((unit) => unit.id === defect.unitId))
    return { code: 'not-on-this-rig' };
  // Somebody else has read it meanwhile: nothing is lost by reading it twice.
  return defect.status === 'closed' || UNREAD_STATUSES.includes(defect.status)
    ? undefined
    : { code: 'nothing-to-acknowledge' };
}

async function refuseSignedOut(held: Held, event: Of<'signed-out'>): Promise<Refused | undefined> {
  const other = refuseOtherWalk(held);
  if (other) return other;
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
  const age = (event.at - (inspection.signed?.at ?? 0)) / 3_600_000;
  if (age > validHours)
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

/** Presence is proven by the tag of that very stop, and by no other. */
async function refusePresent(
  { trx, units }: Held,
  { zone, code }: Of<'present'>['payload'],
): Promise<Refused | undefined> {
  const [unitId, zoneId] = zone.split('/');
  if (!units.some(({ id }) => id === unitId)) return { code: 'check-of-other-unit' };
  const tag = await findTag(trx, unitId, zoneId);
  if (tag?.code === code) return undefined;
  const other = await findTagByCode(trx, code);
  return other
    ? { code: 'other-tag', detail: `This is the tag of ${other.number} · ${other.title}.` }
    : { code: 'no-such-tag' };
}

function refuseOverridden(held: Held, about: string): Refused | undefined {
  if (held.person.role !== 'supervisor') return { code: 'supervisors-only' };
  const finding = held.standing().assessment.findings.find((each) => each.about === about);
  if (!finding) return { code: 'no-such-finding' };
  if (finding.grade === 'major') return { code: 'major-not-overridden' };
  if (finding.grade !== 'minor') return { code: 'no-such-finding' };
  return undefined;
}

/** Only what asks for it is looked at again, and what the workshop has certified since. */
function refuseLookedAgain(held: Held, about: string): Refused | undefined {
  if (certifiedAt({ key: about }, held.inspection).length > 0) return undefined;
  const { findings } = held.standing().assessment;
  return conditionsThatStand(findings).some(
    (each) => each.about === about && each.bars === 'before-leaving',
  )
    ? undefined
    : { code: 'no-such-finding' };
}

async function refuseAssigned(held: Held, event: Of<'assigned'>): Promise<Refused | undefined> {
  if (held.person.role === 'driver') return { code: 'workshop-only' };
  const { defectId, to, revision } = event.payload;
  const defect = await findDefect(held.trx, defectId);
  if (!defect) return { code: 'no-such-defect' };
  if (!OPEN_STATUSES.includes(defect.status)) return { code: 'not-open' };
  if (isStale({ revision: defect.revision, seen: revision })) return stale(held, defect);
  if (to === null) return undefined;
  const mechanic = await findPerson(held.trx, held.person.organisationId, to);
  return mechanic?.role === 'mechanic' && mechanic.depotId === held.person.depotId
    ? undefined
    : { code: 'no-such-mechanic' };
}

async function refuseWorked(held: Held, defectId: string): Promise<Refused | undefined> {
  if (held.person.role !== 'mechanic') return { code: 'mechanics-only' };
  const defect = await findDefect(held.trx, defectId);
  if (!defect) return { code: 'no-such-defect' };
  return OPEN_STATUSES.includes(defect.status) ? undefined : { code: 'not-open' };
}

async function refuseCertified(held: Held, event: Of<'certified'>): Promise<Refused | undefined> {
  const { person, trx } = held;
  if (person.role !== 'mechanic') return { code: 'mechanics-only' };
  const { defectId, outcome, until, revision } = event.payload;
  const defect = await findDefect(trx, defectId);
  if (!defect) return { code: 'no-such-defect' };
  const result = certify({
    status: defect.status,
    grade: defect.grade,
    outcome,
    until,
    today: new Date().toISOString().slice(0, 10),
    policies: held.standing().policiesOf(defect.unitId),
    reportedBy: defect.reportedById,
    by: person.id,
    revision: defect.revision,
    seen: revision,
  });
  if (typeof result === 'string') return undefined;
  return result.refused === 'changed-meanwhile' ? stale(held, defect) : { code: result.refused };
}

/** Two benches: the second one is told who did what meanwhile. */
async function stale({ trx }: Held, defect: DefectRecord): Promise<Refused> {
  const last = (await stepsOfDefect(trx, defect.id)).at(-1);
  const what = last ? `${last.by}: ${last.kind}${last.words ? `, “${last.words}”` : ''}. ` : '';
  return {
    code: 'changed-meanwhile',
    detail: `Somebody changed this defect while you had it open. ${what}Read it again, then decide.`,
  };
}

async function refuseCountersigned(held: Held, defectId: string): Promise<Refused | undefined> {
  const { person, trx } = held;
  if (person.role !== 'supervisor') return { code: 'supervisors-only' };
  const defect = await findDefect(trx, defectId);
  if (!defect) return { code: 'no-such-defect' };
  const result = countersign({
    status: defect.status,
    outcome: defect.outcome as 'repaired',
    certifiedBy: defect.certifiedById ?? '',
    by: person.id,
  });
  return typeof result === 'string' ? undefined : { code: result.refused };
}
