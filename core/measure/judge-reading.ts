import type { Band, Limit, Reading } from '../catalogue';
import { toSi, UNITS, type Kind, type UnitName } from '../quantity';
import { boundByLaw, legalLimit } from './legal-bounds';

export interface AppliedLimit {
  readonly side: 'below' | 'above';
  /** SI. */
  readonly value: number;
  readonly from: Limit['from'];
  readonly source: string;
  /** The unit's card says something laxer; the law was taken in its place: the field of the card. */
  readonly instead?: string;
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
  | { readonly code: 'above-new'; readonly most: number }
  | { readonly code: 'other-unit' };

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
 * @param typedIn the unit that it was typed in; psi on an odometer is no distance
 * @returns undefined when the number may stand.
 */
export function findImpossible(
  reading: Reading,
  value: number,
  specification: Readonly<Record<string, number>>,
  typedIn?: UnitName,
): Impossible | undefined {
  const [least, most, unit] = reading.plausible;
  if (typedIn !== undefined && !isOfKind(typedIn, reading.kind)) return { code: 'other-unit' };
  // Also what is no number at all: it is not above anything, nor below.
  if (!Number.isFinite(value)) return { code: 'above-possible', most: toSi(most, unit) };
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
  { side, limit }: Band,
  specification: Readonly<Record<string, number>>,
): AppliedLimit | undefined {
  if (limit.from !== 'specification')
    return { side, value: toSi(limit.value, limit.unit), from: limit.from, source: limit.source };
  const own = specification[limit.field];
  if (own === undefined || !Number.isFinite(own)) {
    const law = legalLimit(limit.field, side, specification);
    return law && { side, value: law.value, from: 'law', source: law.source };
  }
  const value = own * (limit.share ?? 1);
  const law = boundByLaw(limit.field, side, value, specification);
  if (law) return { side, value: law.value, from: 'law', source: law.source, instead: limit.field };
  return { side, value, from: 'specification', source: limit.field };
}

/** Metres are metres, whether of tread, of a plate or of a road. */
const LENGTHS: ReadonlySet<Kind> = new Set<Kind>(['length', 'depth', 'distance']);

function isOfKind(unit: UnitName, kind: Kind): boolean {
  if (!Object.hasOwn(UNITS, unit)) return false;
  const own = UNITS[unit].kind;
  return own === kind || (LENGTHS.has(own) && LENGTHS.has(kind));
}

/** Half-width in SI; a difference, so the shift of temperature units does not enter. */
function spread([value, unit]: readonly [number, UnitName]): number {
  return toSi(value, unit) - toSi(0, unit);
}
