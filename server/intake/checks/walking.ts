import { policyById } from '@nazar/core/grading';
import { mayHelperAnswer } from '@nazar/core/planning';
import { findTag, findTagByCode } from '../../store/tags';
import type { Answer, Check, Held } from '../held';
import { rigOf } from '../rig-of';

export const unitsMakeARig: Check<'begun'> = ({ person, units, rules }, { payload }) => {
  if (payload.unitIds.some((id) => !units.some((unit) => unit.id === id)))
    return { code: 'unit-not-yours' };
  if (units.some((unit) => unit.depotId !== person.depotId)) return { code: 'unit-not-yours' };
  const { catalogue, content } = rules;
  if (!catalogue) return { code: 'catalogue-unknown' };
  if (!content) return { code: 'content-unknown' };
  try {
    for (const id of [payload.policyId, ...Object.values(payload.policies ?? {})])
      policyById(id, rules.own);
    rigOf(payload, { catalogue, units, content });
  } catch (error) {
    if (error instanceof RangeError) return { code: 'no-rig' };
    throw error;
  }
  return undefined;
};

type OfACheck = 'answered' | 'measured' | 'faulted' | 'counted' | 'found';

export const isOnRig: Check<OfACheck> = ({ units }, { payload: { key } }) =>
  units.some(({ id }) => key.startsWith(`${id}/`)) ? undefined : { code: 'check-of-other-unit' };

export const helperMayAnswer: Check<OfACheck> = (held, { actorId, payload: { key } }) => {
  if (held.inspection.begun?.actorId === actorId) return undefined;
  const instance = held.standing().rig.instances.find((each) => each.key === key);
  return instance && mayHelperAnswer(instance) ? undefined : { code: 'not-for-helpers' };
};

/** Presence is proven by the tag of that very stop, and by no other. */
export const isTagOfThatStop: Check<'present'> = ({ trx, units }, { payload }) => {
  const [unitId, zoneId] = payload.zone.split('/');
  return units.some(({ id }) => id === unitId)
    ? holdAgainstTag(trx, unitId, zoneId, payload.code)
    : { code: 'check-of-other-unit' };
};

async function holdAgainstTag(
  trx: Held['trx'],
  unitId: string,
  zoneId: string,
  code: string,
): Promise<Answer> {
  const tag = await findTag(trx, unitId, zoneId);
  if (tag?.code === code) return undefined;
  const other = await findTagByCode(trx, code);
  return other
    ? { code: 'other-tag', detail: `This is the tag of ${other.number} · ${other.title}.` }
    : { code: 'no-such-tag' };
}

export const unitMayStayBehind: Check<'dropped'> = (
  { standing, units },
  { payload: { unitId } },
) => {
  if (!units.some(({ id }) => id === unitId)) return { code: 'check-of-other-unit' };
  return standing().rig.units[0].unit.id === unitId ? { code: 'unit-drives' } : undefined;
};

export const isWalkComplete: Check<'signed'> = ({ standingWith }, event) =>
  standingWith(event).assessment.missing.length > 0 ? { code: 'not-complete' } : undefined;
