import { UNITS, type UnitName } from './units';

/** A typed number in `unit` to SI (Pa, Pa/s, m, K, s, V, rad, kg, m³, 1). */
export function toSi(value: number, unit: UnitName): number {
  const { scale, shift = 0 } = UNITS[unit];
  return value * scale + shift;
}

/** An SI value to `unit`. Inverse of {@link toSi}. */
export function fromSi(si: number, unit: UnitName): number {
  const { scale, shift = 0 } = UNITS[unit];
  return (si - shift) / scale;
}

/**
 * An SI value as a reader of `unit` writes it, with the decimals worth showing.
 * @example formatSi(724_000, 'psi') // "105 psi"
 */
export function formatSi(si: number, unit: UnitName, decimals = UNITS[unit].decimals): string {
  const factor = 10 ** decimals;
  const rounded = Math.round(fromSi(si, unit) * factor) / factor;
  const digits = (Object.is(rounded, -0) ? 0 : rounded).toFixed(decimals);
  if (unit === '32nds') return `${digits}/32 in`;
  if (unit === 'pieces') return digits;
  return `${digits} ${unit}`;
}

/**
 * A speed limit in the reader's unit, rounded down: rounding must not make it faster.
 * @param kmh km/h
 */
export function formatSpeedLimit(kmh: number, unit: 'km/h' | 'mph'): string {
  // What is a whole number but for the noise of floating point stays that number.
  return `${Math.floor(fromSi(toSi(kmh, 'km/h'), unit) + 1e-9)} ${unit}`;
}
