import type { Band, Limit, Reading } from '../catalogue';
import { toSi, type UnitName } from '../quantity';

export interface AppliedLimit {
  readonly side: 'below' | 'above';
  /** SI. */
  readonly value: number;
  readonly from: Limit['from'];
  readonly source: string;
}

export interface JudgeRequest {
  readonly reading: Reading;
  /** SI, oldest first; the worst of them counts. */
  readonly values: readonly number[];
  /** SI values of the unit's own specification. */
  readonly specification: Readonly<Record<string, number>>;
  readonly combinationAir: boolean;
}

export type Impossible =
  | { readonly code: 'below-possible'; readonly least: number }
  | { readonly code: 'above-possible'; readonly most: number }
  | { readonly code: 'above-new'; readonly most: number };

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
 * What cannot be true of a reading, in SI.
 * @returns undefined when the number may stand.
 */
export function findImpossible(
  reading: Reading,
  value: number,
  specification: Readonly<Record<string, number>>,
): Impossible | undefined {
  const [least, most, unit] = reading.plausible;
  if (value < toSi(least, unit)) return { code: 'below-possible', least: toSi(least, unit) };
  const asNew = reading.neverAbove ? specification[reading.neverAbove] : undefined;
  if (asNew !== undefined && value > asNew * 1.02) return { code: 'above-new', most: asNew };
  if (value > toSi(most, unit)) return { code: 'above-possible', most: toSi(most, unit) };
  return undefined;
}

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

export interface SoundRange {
  readonly least?: AppliedLimit;
  readonly most?: AppliedLimit;
}

/** Between which limits a reading is sound without a remark: the tightest of each side. */
export function soundRange(
  reading: Reading,
  specification: Readonly<Record<string, number>>,
  combinationAir: boolean,
): SoundRange {
  const limits = applicableLimits(reading, specification, combinationAir);
  const below = limits.filter(({ side }) => side === 'below').map(({ value }) => value);
  const above = limits.filter(({ side }) => side === 'above').map(({ value }) => value);
  return {
    least: limits.find(({ side, value }) => side === 'below' && value === Math.max(...below)),
    most: limits.find(({ side, value }) => side === 'above' && value === Math.min(...above)),
  };
}

/** All limits that apply, for a gauge to draw. */
export function applicableLimits(
  reading: Reading,
  specification: Readonly<Record<string, number>>,
  combinationAir: boolean,
): AppliedLimit[] {
  return reading.bands
    .filter((each) => !each.only || (each.only === 'combination') === combinationAir)
    .map((band) => applyLimit(band, specification))
    .filter((limit) => limit !== undefined);
}

function applyLimit(
  band: Band,
  specification: Readonly<Record<string, number>>,
): AppliedLimit | undefined {
  const value = limitValue(band.limit, specification);
  if (value === undefined) return undefined;
  return {
    side: band.side,
    value,
    from: band.limit.from,
    source: band.limit.from === 'specification' ? band.limit.field : band.limit.source,
  };
}

function limitValue(limit: Limit, specification: Readonly<Record<string, number>>) {
  if (limit.from !== 'specification') return toSi(limit.value, limit.unit);
  const own = specification[limit.field];
  return own === undefined || !Number.isFinite(own) ? undefined : own * (limit.share ?? 1);
}

/** Half-width in SI; a difference, so the shift of temperature units does not enter. */
function spread([value, unit]: readonly [number, UnitName]): number {
  return toSi(value, unit) - toSi(0, unit);
}
