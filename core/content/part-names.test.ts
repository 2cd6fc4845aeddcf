import { partAt } from '../catalogue';
import { catalogue } from '.';
import { findCatalogueFaults } from '../validation';

/** What an instruction begins with. A noun that begins so would read as one in a list. */
const INSTRUCTION =
  /^(Look|See|Shake|Pull|Feel|Read|Measure|Gauge|Run|Try|Wipe|Work|Thump|Listen|Open|Press|Count|Follow|Test|Check|Knock|(Push|Turn|Drain) (the|each|every|all)|Grease the|Clean the|Watch|Hold the)\b/;

const checks = catalogue.modules.flatMap((module) =>
  module.checks.map((check) => ({ module, check })),
);

describe('the noun of each check', () => {
  it('may be missing in a file of before: it is no fault, and the instruction stands in', () => {
    const before = {
      ...catalogue,
      modules: catalogue.modules.map((module) => ({
        ...module,
        checks: module.checks.map(({ partName: _, ...check }) => check),
      })),
    };
    expect(findCatalogueFaults(before)).toEqual([]);
    const [check] = before.modules[0].checks;
    expect(partAt(check, undefined)).toBe(check.title);
  });

  it('is there, short, and no instruction', () => {
    const wrong = checks.filter(
      ({ check: { partName } }) =>
        partName === undefined ||
        partName.length > 48 ||
        !/^\p{Lu}[^.:!?]+$/u.test(partName) ||
        INSTRUCTION.test(partName),
    );
    expect(wrong.map(({ check }) => `${check.id}: ${check.partName}`)).toEqual([]);
  });

  it('tells two rows of one list apart: no two checks of a stop in one walk have the same part and place', () => {
    const twice = catalogue.modules.flatMap((module) => {
      const rows = new Map<string, string>();
      return module.checks.flatMap((check) =>
        check.phases.flatMap((phase) => {
          const row = `${phase} ${check.zone} ${check.each ?? ''} ${partAt(check, undefined)}`;
          const before = rows.get(row);
          rows.set(row, check.id);
          return before === undefined ? [] : [`${before} and ${check.id}: ${check.partName}`];
        }),
      );
    });
    expect([...new Set(twice)]).toEqual([]);
  });
});
