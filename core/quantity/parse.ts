import { toSi } from './convert';
import type { UnitName } from './units';

export type ParseProblem = 'empty' | 'not-a-number';

export type Parsed =
  | {
      readonly ok: true;
      readonly typed: string;
      readonly unit: UnitName;
      readonly si: number;
    }
  | { readonly ok: false; readonly problem: ParseProblem };

/**
 * What a driver types on the keypad: digits with a point or a comma, an optional
 * sign. Anything else is refused and never guessed at; the typed text is kept.
 * @returns the SI value, or why it cannot be read.
 */
export function parseTyped(text: string, unit: UnitName): Parsed {
  const trimmed = text.trim();
  if (trimmed === '') return { ok: false, problem: 'empty' };
  if (!/^[+-]?\d{1,9}([.,]\d{1,6})?$/.test(trimmed)) return { ok: false, problem: 'not-a-number' };
  const value = Number(trimmed.replace(',', '.'));
  return { ok: true, typed: trimmed, unit, si: toSi(value, unit) };
}
