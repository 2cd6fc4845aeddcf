import { HOUSE_STRICTER, scheduleOne, scheduleTwo } from '../schedules';
import { catalogue } from '../content';
import { policies, policyById, reportedParts, scheduleTable } from '.';

const both = [
  ['Schedule 1', scheduleOne, false],
  ['Schedule 2', scheduleTwo, true],
] as const;

describe.each(both)('%s of NSC Standard 13', (_, schedule, passenger) => {
  it('is followed by every policy that carries its name: nothing is milder', () => {
    for (const policy of policies.filter(({ schedule: of }) => of))
      expect(
        scheduleTable(catalogue, schedule, policy, passenger).rows.filter(
          ({ agreement }) => agreement === 'laxer',
        ),
      ).toEqual([]);
  });

  it('is agreed with line by line where nothing stricter is wanted', () => {
    const { rows } = scheduleTable(catalogue, schedule, policyById('schedule-only'), passenger);
    expect(rows.length).toBeGreaterThan(100);
    for (const row of rows) expect(row).toMatchObject({ agreement: 'agrees' });
  });

  it('names a reason wherever the house is stricter', () => {
    const { rows } = scheduleTable(catalogue, schedule, policyById('two-step'), passenger);
    const stricter = rows.filter(({ agreement }) => agreement === 'stricter');
    expect(stricter.length).toBeGreaterThan(10);
    for (const { check, symptom, because } of stricter)
      expect([check, symptom, because]).toEqual([check, symptom, expect.any(String)]);
  });

  it('has its items in the order of the printed one, each with a defect that is looked for', () => {
    const numbers = schedule.items.map(({ item }) => Number(item));
    expect(numbers).toEqual([...numbers].sort((a, b) => a - b));
    const { rows } = scheduleTable(catalogue, schedule, policyById('two-step'), passenger);
    const looked = new Set(rows.map(({ item }) => item));
    expect(numbers.filter((each) => !looked.has(String(each)))).toEqual([]);
  });
});

it('gives no reason where nothing is stricter', () => {
  const stricter = new Set(
    both.flatMap(([, schedule, passenger]) =>
      scheduleTable(catalogue, schedule, policyById('two-step'), passenger).rows.flatMap(
        ({ agreement, check, symptom }) =>
          agreement === 'stricter' ? [`${check} ${symptom}`] : [],
      ),
    ),
  );
  expect(Object.keys(HOUSE_STRICTER).filter((each) => !stricter.has(each))).toEqual([]);
});

describe('equipment that no schedule lists', () => {
  it.each(['recorder', 'stop-request', 'kneeling', 'destination', 'speaker', 'climate'])(
    '%s that only does not work grounds no bus under it, with passengers or without',
    (tail) => {
      const checks = catalogue.modules
        .filter(({ vehicleClass }) => vehicleClass === 'passenger')
        .flatMap((module) => module.checks)
        .filter(({ id }) => id.endsWith(`.${tail}`));
      expect(checks.length).toBeGreaterThan(0);
      const dead = checks.flatMap(({ symptoms }) =>
        // A bus that stays down is named by the schedule.
        symptoms.filter(({ id }) => id !== 'stays-down'),
      );
      expect(dead.length).toBeGreaterThan(0);
      for (const { harm, worse = [] } of dead) {
        expect(harm).not.toBe('stop');
        for (const each of worse) expect(each.harm).not.toBe('stop');
      }
    },
  );
});

describe('the list of parts to report (49 CFR 396.11(a)(1))', () => {
  const rows = reportedParts(catalogue, policyById('affects-safety'));

  it('has something looked for under each of its eleven items', () => {
    expect([...new Set(rows.map(({ item }) => item))]).toEqual(
      'i ii iii iv v vi vii viii ix x xi'.split(' '),
    );
  });

  it('lets no defect of a listed part be driven before it is certified', () => {
    expect(rows.filter(({ isDefect }) => isDefect).length).toBeGreaterThan(100);
    for (const row of rows) if (row.isDefect) expect(row).toMatchObject({ ...row, grade: 'major' });
  });
});
