import type { CheckInstance } from '../rig';
import { reportsOf, type Stamp } from './answers';
import type { CertifiedPayload } from './payloads';
import type { Inspection } from './inspection';

type Certified = CertifiedPayload & Stamp;

/** The certificates by which every fault that was reported at a check is mended; nothing while one of them is missing. */
export function certifiedAt(
  { key }: Pick<CheckInstance, 'key'>,
  inspection: Inspection,
): readonly Certified[] {
  const reports = reportsOf(inspection.answers.get(key));
  const certified = reports.flatMap(({ fault, order = 0 }) => {
    const last = inspection.certifications
      .filter((each) => each.defectId === fault.defectId && (each.order ?? 0) > order)
      .at(-1);
    return last && last.outcome !== 'deferred' ? [last] : [];
  });
  return certified.length === reports.length ? certified : [];
}

/**
 * Whether a fault of this walk has been mended since, so that the rig need not be walked round again for it: the workshop has certified
 * every defect that was reported there (and the carrier's agent has signed, where the policy wants it), and afterwards the driver has
 * read it and looked at that part again. What is measured or counted is walked anew: a word is no number.
 * @returns what was done, in words
 */
export function mendedSince(
  instance: CheckInstance,
  inspection: Inspection,
  agentSigns: boolean,
): string | undefined {
  const { check, contents, key } = instance;
  const answer = inspection.answers.get(key);
  if (answer?.outcome !== 'fault' || answer.readings.length > 0) return undefined;
  if (check.reading?.required || contents) return undefined;
  const certified = certifiedAt(instance, inspection);
  if (certified.length === 0) return undefined;
  const looked = inspection.lookedAgain.get(key);
  const after = (stamp: Stamp | undefined, than: Stamp) =>
    stamp !== undefined && (stamp.order ?? 0) > (than.order ?? 0);
  const isWhole = certified.every(
    (each) =>
      after(looked, each) &&
      after(inspection.acknowledged.get(each.defectId), each) &&
      (!agentSigns ||
        each.outcome !== 'repaired' ||
        inspection.countersignatures.some(
          (signed) => signed.defectId === each.defectId && after(signed, each),
        )),
  );
  return isWhole ? certified.map(({ words }) => words).join('; ') : undefined;
}
