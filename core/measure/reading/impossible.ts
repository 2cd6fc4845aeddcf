import type { Reading } from '../../catalogue';
import { toSi, UNITS, type Kind, type UnitName } from '../../quantity';

export type Impossible =
  | { readonly code: 'below-possible'; readonly least: number }
  | { readonly code: 'above-possible'; readonly most: number }
  | { readonly code: 'above-new'; readonly most: number }
  | { readonly code: 'other-unit' };

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

/** Metres are metres, whether of tread, of a plate or of a road. */
const LENGTHS: ReadonlySet<Kind> = new Set<Kind>(['length', 'depth', 'distance']);

function isOfKind(unit: UnitName, kind: Kind): boolean {
  if (!Object.hasOwn(UNITS, unit)) return false;
  const own = UNITS[unit].kind;
  return own === kind || (LENGTHS.has(own) && LENGTHS.has(kind));
}

/** Half-width in SI; a difference, so the shift of temperature units does not enter. */
