import { findCardFaults } from '@nazar/core/card';
import { catalogue } from '@nazar/core/content';
import { composeRig, findMisfits, findUnweighed, moduleOfUnit } from '@nazar/core/rig';
import { rigs, unitByNumber, units } from './fleet';

const composed = rigs.map(({ title, numbers }) => ({
  title,
  rig: composeRig({
    units: numbers.map(unitByNumber),
    phase: 'pre-trip',
    circumstances: [],
    catalogue,
  }),
}));

it('has units of every module', () => {
  const used = new Set(units.flatMap(({ moduleId, fitted }) => [moduleId, ...(fitted ?? [])]));
  expect(catalogue.modules.map(({ id }) => id).filter((id) => !used.has(id))).toEqual([]);
});

it.each(composed)('$title fits: couplings, sockets, heights, masses', ({ rig }) => {
  expect(findMisfits(rig)).toEqual([]);
  expect(findUnweighed(rig)).toEqual([]);
});

it.each(units.map((unit) => [unit.number, unit] as const))(
  '%s has every figure that a limit asks for',
  (_, unit) => {
    const required = moduleOfUnit(unit, catalogue).specification.filter(
      (field) => field.required && unit.specification[field.id] === undefined,
    );
    expect(required.map(({ id }) => id)).toEqual([]);
  },
);

it.each(units.map((unit) => [unit.number, unit] as const))(
  'the card of %s is as it can be',
  (_, unit) => {
    const module = moduleOfUnit(unit, catalogue);
    expect(findCardFaults(unit.number, unit.specification, unit.card, module)).toEqual([]);
  },
);
