import type { Reading } from '../../catalogue';
import { toSi, type UnitName } from '../../quantity';
import { applyLimit, type AppliedLimit } from '../limits';

export interface JudgeRequest {
  readonly reading: Reading;
  /** SI, oldest first; the worst of them counts. */
  readonly values: readonly number[];
  /** SI values of the unit's own specification. */
  readonly specification: Readonly<Record<string, number>>;
  readonly combinationAir: boolean;
}

export type Judgement =
  /** Within every limit. */
  | { readonly outcome: 'within'; readonly limit?: AppliedLimit }
  /** Out of a limit: the symptom it stands for. */
  | { readonly outcome: 'out'; readonly symptom: string; readonly limit: AppliedLimit }
  /** So close that the instrument cannot tell: measure once more. */
  | { readonly outcome: 'again'; readonly symptom: string; readonly limit: AppliedLimit }
  /** The unit's specification lacks the limit; taken as out of it, which is the safe side. */
  | { readonly outcome: 'no-limit'; readonly symptom: string; readonly field: string };

/**
 * Holds a reading against its limits, worst band first. One value inside the
 * instrument's uncertainty of a limit asks again; of two or more, the worst counts.
 */
export function judgeReading(request: JudgeRequest): Judgement {
  const { reading, values, specification } = request;
  if (values.length === 0) throw new RangeError('No value to judge.');
  const uncertainty = spread(reading.uncertainty);
  let nearest: AppliedLimit | undefined;
  for (const band of reading.bands) {
    if (band.only && (band.only === 'combination') !== request.combinationAir) continue;
    const limit = applyLimit(band, specification);
    if (!limit)
      return {
        outcome: 'no-limit',
        symptom: band.symptom,
        field: band.limit.from === 'specification' ? band.limit.field : '',
      };
    const worst = band.side === 'below' ? Math.min(...values) : Math.max(...values);
    // A rounding error of the conversion must not turn "at the limit" into "over it".
    const beyond =
      (band.side === 'below' ? limit.value - worst : worst - limit.value) - 1e-9 * limit.value;
    if (values.length === 1 && Math.abs(worst - limit.value) <= uncertainty)
      return { outcome: 'again', symptom: band.symptom, limit };
    if (beyond > 0) return { outcome: 'out', symptom: band.symptom, limit };
    if (!nearest || Math.abs(limit.value - worst) < Math.abs(nearest.value - worst))
      nearest = limit;
  }
  return { outcome: 'within', limit: nearest };
}

function spread([value, unit]: readonly [number, UnitName]): number {
  return toSi(value, unit) - toSi(0, unit);
}
