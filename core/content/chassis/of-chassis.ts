import { renamed, renamedCombinations, renamedServices } from '../renamed';
import type { Check, Combination, Procedure, Service } from '../../catalogue';
import { jumpStart, towAway, type ParkedBy } from '../sequences/recovery';
import type { Sequence } from '../sequences/write';
import { brakeTestChecks } from './brake-tests';
import { cabChecks } from './cab';
import { truckCombinations } from './combinations';
import { engineBayChecks } from './engine-bay';
import { outsideChecks } from './outside';
import { truckServices } from './services';
import { upkeepChecks } from './upkeep';

/** What every chassis that drives is asked, in the order of the feet: outside, engine bay, cab, brakes. */
export const chassisChecks: readonly Check[] = [
  ...outsideChecks,
  ...engineBayChecks,
  ...cabChecks,
  ...brakeTestChecks,
  ...upkeepChecks,
];
export const chassisCombinations = truckCombinations;
export const chassisServices = truckServices;

interface OfChassis {
  readonly checks: readonly Check[];
  readonly combinations: readonly Combination[];
  readonly services: readonly Service[];
  readonly procedures: readonly Procedure[];
}

/**
 * The same for another chassis: its own prefix, without what it does not have.
 * @param without endings of ids, as `coupling.pintle`
 * @param brake what holds it while nothing runs
 */
export function ofChassis(
  prefix: string,
  without: readonly string[] = [],
  brake: ParkedBy = 'springs',
): OfChassis {
  const recovery: readonly Sequence[] = [
    jumpStart(prefix, 'driver-side'),
    towAway({ prefix, zone: 'driver-side', brake }),
  ];
  const checks = [
    ...renamed(chassisChecks, 'truck', prefix).filter(
      ({ id }) => !without.some((ending) => id === `${prefix}.${ending}`),
    ),
    ...recovery.map(({ check }) => check),
  ];
  const has = new Set(checks.map(({ id }) => id));
  return {
    checks,
    combinations: renamedCombinations(chassisCombinations, 'truck', prefix).filter(({ parts }) =>
      parts.every(({ check }) => has.has(check)),
    ),
    services: renamedServices(chassisServices, 'truck', prefix),
    procedures: recovery.map(({ procedure }) => procedure),
  };
}
