import type { UnitName } from '../quantity';
import { findModuleOfUnit, type Unit } from '../rig';
import type { Catalogue } from '../catalogue';

/** A gauge that is looked at on the road. Values in SI, as the card of the unit has them. */
export interface Gauge {
  readonly id: 'air' | 'oil-pressure' | 'coolant' | 'charge' | 'hydraulics';
  readonly low?: number;
  readonly high?: number;
  /** Below this one stops at once. */
  readonly stopBelow?: number;
  readonly unit?: UnitName;
}

/**
 * What the one who drives watches under way, from what the first unit is and what its card says; the manual of the unit has the
 * rest. Only a unit that drives has gauges.
 */
export function gaugesToWatch(unit: Unit, catalogue: Catalogue): Gauge[] {
  const module = findModuleOfUnit(unit, catalogue);
  if (!module?.powered) return [];
  const { specification: card } = unit;
  const needs = new Set(module.checks.flatMap((check) => check.needs));
  return [
    ...(module.airBrakes
      ? [
          {
            id: 'air' as const,
            low: card.governorCutInLow,
            high: card.governorCutOutHigh,
            stopBelow: card.lowPressureWarning,
            unit: 'psi' as const,
          },
        ]
      : []),
    { id: 'oil-pressure' },
    { id: 'coolant' },
    {
      id: 'charge',
      low: card.chargeVoltageLow,
      high: card.chargeVoltageHigh,
      unit: 'V',
    },
    ...(needs.has('power-take-off') || needs.has('oil-warm')
      ? [{ id: 'hydraulics' as const }]
      : []),
  ];
}
