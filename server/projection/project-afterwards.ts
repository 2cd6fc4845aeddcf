import { droppedUnits, type InspectionEvent } from '@nazar/core/inspection';
import { certify, type DefectStep } from '@nazar/core/repair';
import type { Knex } from 'knex';
import type { Standing } from '../intake/stand';
import { ownId } from '../report/own-ids';
import { insertSteps } from '../store/defect-steps';
import { closeOuting, insertOuting } from '../store/outings';
import type { Person } from '../store/sessions';
import { projectWord } from './project-defects';

const iso = (milliseconds: number) => new Date(milliseconds).toISOString();

/** What happens after the walk: workshop, sign-out, return, acknowledgement, corrections. */
export async function projectAfterwards(
  trx: Knex.Transaction,
  person: Pick<Person, 'organisationId'>,
  event: InspectionEvent,
  standing: Standing,
): Promise<void> {
  switch (event.type) {
    case 'assigned':
      await trx('defects')
        .where({ id: event.payload.defectId })
        .update({ assigned_to: event.payload.to, revision: trx.raw('revision + 1') });
      break;
    case 'worked':
      await trx('defects')
        .where({ id: event.payload.defectId })
        .update({ revision: trx.raw('revision + 1') });
      break;
    case 'certified':
      await projectCertified(trx, event, standing);
      await projectWord(trx, person.organisationId, event.payload.defectId);
      await copyToOtherWalks(trx, person.organisationId, event);
      break;
    case 'countersigned':
      await copyToOtherWalks(trx, person.organisationId, event);
      await trx('defects')
        .where({ id: event.payload.defectId, certificate_status: 'awaiting-agent' })
        .update({ certificate_status: trx.raw('outcome'), revision: trx.raw('revision + 1') });
      await projectWord(trx, person.organisationId, event.payload.defectId);
      break;
    case 'acknowledged':
      await projectAcknowledged(trx, event, standing);
      await projectWord(trx, person.organisationId, event.payload.defectId);
      break;
    case 'signed-out': {
      const stays = droppedUnits(standing.rig, standing.inspection.course);
      await insertOuting(trx, {
        inspectionId: event.inspectionId,
        organisationId: person.organisationId,
        depotId: standing.units[0].depotId,
        unitIds: standing.units.map(({ id }) => id).filter((id) => !stays.has(id)),
        purpose: event.payload.purpose,
        needs: event.payload.needs,
        title: event.payload.title,
        outAt: iso(event.at),
        byId: event.actorId,
      });
      break;
    }
    case 'returned':
      await closeOuting(trx, event.inspectionId, iso(event.at), event.actorId);
      break;
  }
  await addStep(trx, person, event);
}

type Of<T extends InspectionEvent['type']> = Extract<InspectionEvent, { type: T }>;

async function projectCertified(
  trx: Knex.Transaction,
  event: Of<'certified'>,
  { policiesOf }: Standing,
): Promise<void> {
  const { defectId, outcome, words, until } = event.payload;
  const defect = await trx('defects')
    .where({ id: defectId })
    .first('status', 'grade', 'unit_id', 'reported_by', 'revision');
  const status = certify({
    status: defect.status,
    grade: defect.grade,
    outcome,
    until,
    today: '',
    policies: policiesOf(defect.unit_id),
    reportedBy: defect.reported_by,
    by: event.actorId,
    revision: defect.revision,
  });
  // It was permitted a moment ago, in this transaction.
  if (typeof status !== 'string') return;
  await trx('defects')
    .where({ id: defectId })
    .update({
      certificate_status: status,
      certified_grade: defect.grade,
      certificate_received_at: trx.raw('clock_timestamp()'),
      outcome,
      outcome_words: words,
      until: until ?? null,
      certified_at: iso(event.at),
      certified_by: event.actorId,
      certified_metres: trx.raw(
        `(select metres from inspection_units iu
           where iu.unit_id = defects.unit_id and iu.metres is not null and iu.begun_at <= ?
           order by iu.begun_at desc limit 1)`,
        [iso(event.at)],
      ),
      revision: trx.raw('revision + 1'),
    });
}

/**
 * A defect that several walks have found is repaired for all of them: each of their logs gets the certificate, under an id that is the
 * same at every try, so that each report tells it and each driver may read it.
 */
async function copyToOtherWalks(
  trx: Knex.Transaction,
  organisationId: string,
  event: Of<'certified'> | Of<'countersigned'>,
): Promise<void> {
  const others = await trx('defect_reports as r')
    .join('inspections as i', 'i.id', 'r.inspection_id')
    .where('r.defect_id', event.payload.defectId)
    .whereNot('r.inspection_id', event.inspectionId)
    .whereNotNull('i.signed_at')
    .select('r.inspection_id');
  if (others.length === 0) return;
  await trx('events')
    .insert(
      others.map(({ inspection_id: inspectionId }) => ({
        id: ownId(`${event.id} ${inspectionId}`),
        organisation_id: organisationId,
        inspection_id: inspectionId,
        device_id: event.deviceId,
        actor_id: event.actorId,
        at: iso(event.at),
        sequence: event.sequence,
        type: event.type,
        version: 1,
        payload: JSON.stringify(event.payload),
      })),
    )
    .onConflict()
    .ignore();
}

async function projectAcknowledged(
  trx: Knex.Transaction,
  event: Of<'acknowledged'>,
  { units }: Standing,
): Promise<void> {
  await trx('defects')
    .where({ id: event.payload.defectId })
    // A driver reads what was mended on the rig that is walked round, on no other.
    .whereIn(
      'unit_id',
      units.map(({ id }) => id),
    )
    .whereIn('status', ['repaired', 'no-repair-needed'])
    .update({
      certificate_status: 'closed',
      acknowledged_at: iso(event.at),
      acknowledged_by: event.actorId,
      acknowledged_in: event.inspectionId,
    });
}

const STEP_OF: Readonly<Partial<Record<InspectionEvent['type'], DefectStep['kind']>>> = {
  assigned: 'assigned',
  worked: 'worked',
  certified: 'certified',
  countersigned: 'countersigned',
  acknowledged: 'acknowledged',
  annotated: 'corrected',
};

async function addStep(
  trx: Knex.Transaction,
  person: Pick<Person, 'organisationId'>,
  event: InspectionEvent,
): Promise<void> {
  const kind = STEP_OF[event.type];
  const payload = event.payload as {
    readonly defectId?: string;
    readonly words?: string;
    readonly to?: string | null;
    readonly outcome?: string;
    readonly minutes?: number;
    readonly parts?: DefectStep['parts'];
    readonly photos?: DefectStep['photos'];
  };
  if (!kind || payload.defectId === undefined) return;
  const assignee =
    kind === 'assigned' && payload.to
      ? await trx('people').where({ id: payload.to }).first('name')
      : undefined;
  await insertSteps(trx, person.organisationId, [
    {
      id: event.id,
      defectId: payload.defectId,
      inspectionId: event.inspectionId,
      at: iso(event.at),
      kind,
      byId: event.actorId,
      words: kind === 'assigned' ? (assignee?.name ?? '') : payload.words,
      outcome: payload.outcome,
      minutes: payload.minutes,
      parts: payload.parts,
      photos: payload.photos?.map(({ id, when }) => ({ id, when })),
    },
  ]);
}
