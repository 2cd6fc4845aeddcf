import type { Reading } from '../../catalogue';
import { toSi } from '../../quantity';
import { findImpossible } from '..';

const psi = (value: number) => toSi(value, 'psi');

const pressure: Reading = {
  kind: 'pressure',
  ask: 'Cold pressure',
  required: true,
  bands: [],
  plausible: [10, 150, 'psi'],
  uncertainty: [1, 'psi'],
};
const tread: Reading = {
  kind: 'depth',
  ask: 'Least tread',
  required: true,
  bands: [],
  plausible: [0, 30, 'mm'],
  neverAbove: 'treadNew',
  uncertainty: [0.5, 'mm'],
};

it('takes the ends of what is possible for possible, and nothing beyond them', () => {
  expect(findImpossible(pressure, psi(10), {})).toBeUndefined();
  expect(findImpossible(pressure, psi(150), {})).toBeUndefined();
  expect(findImpossible(pressure, psi(9.9), {})).toEqual({
    code: 'below-possible',
    least: psi(10),
  });
  expect(findImpossible(pressure, psi(150.1), {})).toEqual({
    code: 'above-possible',
    most: psi(150),
  });
});

it.each([Number.NaN, Infinity, -Infinity])('takes %p for no reading at all', (value) => {
  expect(findImpossible(pressure, value, {})).toEqual({ code: 'above-possible', most: psi(150) });
});

it.each([
  // Metres are metres, whatever is measured; a pressure is no length, and a word is no unit.
  ['mm', tread, undefined],
  ['mi', tread, undefined],
  ['psi', tread, 'other-unit'],
  ['psi', pressure, undefined],
  ['kPa', pressure, undefined],
  ['mm', pressure, 'other-unit'],
  ['V', pressure, 'other-unit'],
  ['bananas', pressure, 'other-unit'],
  ['toString', pressure, 'other-unit'],
] as const)('typed in %s: %#', (unit, reading, code) => {
  const value = reading === tread ? 0.01 : psi(100);
  expect(findImpossible(reading, value, {}, unit as 'psi')?.code).toBe(code);
});

it('lets no tread be deeper than new, but for what the gauge is out by', () => {
  const card = { treadNew: 0.02 };
  expect(findImpossible(tread, 0.02, card)).toBeUndefined();
  // Two per cent of 20 mm are 0.4 mm.
  expect(findImpossible(tread, 0.0204, card)).toBeUndefined();
  expect(findImpossible(tread, 0.0205, card)).toEqual({ code: 'above-new', most: 0.02 });
});

it('holds a tread against nothing where the card does not say how deep it was', () => {
  expect(findImpossible(tread, 0.029, {})).toBeUndefined();
});
