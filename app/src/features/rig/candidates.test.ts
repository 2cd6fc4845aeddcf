import { catalogue } from '@nazar/core/content';
import { trailer, truck } from '@nazar/core/testing';
import type { Unit } from '@nazar/core/rig';
import { join, listCandidates } from './candidates';

const id = (end: string) => `${truck.id.slice(0, -2)}${end}`;
const card = (unit: Unit, figures: Record<string, number>): Unit => ({
  ...unit,
  specification: { ...unit.specification, ...figures },
});
const front = card(truck, { towRating: 8000, socketVolts: 24 });
const light = card(trailer, { massGross: 3500, socketVolts: 24 });
const heavy = card(
  { ...trailer, id: id('b2'), number: '932' },
  { massGross: 9000, socketVolts: 24 },
);
const dark = card(
  { ...trailer, id: id('b3'), number: '933' },
  { massGross: 3500, socketVolts: 12 },
);
const plow: Unit = {
  ...trailer,
  id: id('c1'),
  number: '614',
  moduleId: 'front-plow',
  specification: {},
};
const yard = [front, light, heavy, dark, plow];
const reasons = (
  chosen: readonly Unit[],
  out: (id: string) => string | undefined = () => undefined,
) =>
  Object.fromEntries(
    listCandidates(yard, chosen, 'metric', catalogue, out).map(({ unit, reason }) => [
      unit.number,
      reason,
    ]),
  );

it('says of each unit why it cannot be added, and nothing of those that can', () => {
  expect(reasons([front])).toEqual({
    '931': undefined,
    '932': expect.stringMatching(/rated 8000 kg/),
    '933': expect.stringMatching(/24 V/),
    '614': expect.stringMatching(/needs what unit 214 does not give: hydraulics/),
  });
});

it('starts with something that drives', () => {
  expect(reasons([])['214']).toBeUndefined();
  expect(reasons([])['931']).toMatch(/cannot drive by itself/);
});

it('does not hold against the next unit what stands against the rig already', () => {
  const chosen = [front, heavy];
  expect(join(chosen, 'metric', catalogue)).toMatchObject({
    misfits: [{ says: { code: 'coupling-rating' } }],
  });
  expect(reasons(chosen)['614']).not.toMatch(/rated/);
});

it('names who is out with a unit before anything else', () => {
  expect(
    reasons([front], (unit) => (unit === light.id ? 'Out with Imre Dahl' : undefined))['931'],
  ).toBe('Out with Imre Dahl');
});

it('groups by how a unit goes', () => {
  const groups = listCandidates(yard, [], 'metric', catalogue, () => undefined).map(
    ({ unit, group }) => [unit.number, group],
  );
  expect(groups).toEqual([
    ['214', 'drives'],
    ['931', 'towed'],
    ['932', 'towed'],
    ['933', 'towed'],
    ['614', 'mounted'],
  ]);
});
