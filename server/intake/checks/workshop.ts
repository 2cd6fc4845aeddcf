import { certify, countersign, isStale, type DefectRecord } from '@nazar/core/repair';
import { OPEN_STATUSES, UNREAD_STATUSES } from '@nazar/core/catalogue';
import { stepsOfDefect } from '../../store/defect-steps';
import { findDefect } from '../../store/defects';
import { findPerson } from '../../store/sessions';
import type { Check, Held, Refused } from '../held';

type OfADefect = 'faulted' | 'found' | 'annotated' | 'acknowledged' | InTheWorkshop;
type InTheWorkshop = 'assigned' | 'worked' | 'certified' | 'countersigned';

/** A defect has one unit for all its life; whoever names it speaks of that unit, or of one of their rig. */
export const isDefectOnRig: Check<OfADefect> = ({ units, unitOfDefect }, { payload }) => {
  const { defectId } = payload;
  const unitId = defectId === undefined ? undefined : unitOfDefect.get(defectId);
  if (unitId === undefined) return undefined;
  const isElsewhere =
    'key' in payload
      ? !payload.key.startsWith(`${unitId}/`)
      : !units.some(({ id }) => id === unitId);
  return isElsewhere ? { code: 'defect-of-other-unit' } : undefined;
};

/** A driver reads what was mended on the rig that is walked round, on no other. */
export const isRepairToRead: Check<'acknowledged'> = async (held, { payload: { defectId } }) => {
  const known = held.defects.find(({ id }) => id === defectId);
  if (known && UNREAD_STATUSES.includes(known.status)) return undefined;
  const defect = await findDefect(held.trx, defectId);
  if (!defect || !held.units.some((unit) => unit.id === defect.unitId))
    return { code: 'not-on-this-rig' };
  // Somebody else has read it meanwhile: nothing is lost by reading it twice.
  return defect.status === 'closed' || UNREAD_STATUSES.includes(defect.status)
    ? undefined
    : { code: 'nothing-to-acknowledge' };
};

export const isOpen: Check<'assigned' | 'worked'> = async (held, { payload }) => {
  const defect = await findDefect(held.trx, payload.defectId);
  if (!defect) return { code: 'no-such-defect' };
  if (!OPEN_STATUSES.includes(defect.status)) return { code: 'not-open' };
  const seen = 'revision' in payload ? payload.revision : undefined;
  return isStale({ revision: defect.revision, seen }) ? stale(held, defect) : undefined;
};

export const isMechanicOfTheDepot: Check<'assigned'> = async (
  { trx, person },
  { payload: { to } },
) => {
  if (to === null) return undefined;
  const mechanic = await findPerson(trx, person.organisationId, to);
  return mechanic?.role === 'mechanic' && mechanic.depotId === person.depotId
    ? undefined
    : { code: 'no-such-mechanic' };
};

export const isCertificateAllowed: Check<'certified'> = async (held, { payload }) => {
  const { person, trx } = held;
  const { defectId, outcome, until, revision } = payload;
  const defect = await findDefect(trx, defectId);
  if (!defect) return { code: 'no-such-defect' };
  const result = certify({
    status: defect.status,
    grade: defect.grade,
    outcome,
    until,
    today: new Date(held.arrivedAt).toISOString().slice(0, 10),
    policies: held.standing().policiesOf(defect.unitId),
    reportedBy: defect.reportedById,
    by: person.id,
    revision: defect.revision,
    seen: revision,
  });
  if (typeof result === 'string') return undefined;
  return result.refused === 'changed-meanwhile' ? stale(held, defect) : { code: result.refused };
};

/** Two benches: the second one is told who did what meanwhile. */
async function stale({ trx }: Held, defect: DefectRecord): Promise<Refused> {
  const last = (await stepsOfDefect(trx, defect.id)).at(-1);
  const what = last ? `${last.by}: ${last.kind}${last.words ? `, “${last.words}”` : ''}. ` : '';
  return {
    code: 'changed-meanwhile',
    detail: `Somebody changed this defect while you had it open. ${what}Read it again, then decide.`,
  };
}

export const isSecondSignatureWanted: Check<'countersigned'> = async (
  { person, trx },
  { payload: { defectId } },
) => {
  const defect = await findDefect(trx, defectId);
  if (!defect) return { code: 'no-such-defect' };
  const result = countersign({
    status: defect.status,
    outcome: defect.outcome as 'repaired',
    certifiedBy: defect.certifiedById ?? '',
    by: person.id,
  });
  return typeof result === 'string' ? undefined : { code: result.refused };
};
