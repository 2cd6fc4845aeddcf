import type { Band, Limit, Reading } from '../../catalogue';
import { toSi } from '../../quantity';
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

/**
 * The limit of a band: as content names it, or as the unit's card does within what law allows.
 * @returns undefined where the card lacks it and no law stands in its place
 */
export function applyLimit(
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
