import { fromSi, toSi, type UnitName } from '@nazar/core/quantity';
import type { CheckInstance } from '@nazar/core/rig';
import type { Chance } from './chance';

export interface Typed {
  readonly typed: string;
  readonly unit: UnitName;
  readonly value: number;
}

function typed(value: number, unit: UnitName, decimals: number): Typed {
  const text = value.toFixed(decimals);
  return { typed: text, unit, value: toSi(Number(text), unit) };
}

/** A number between 0 and 1 that is always the same for one place of one unit. */
function ownShare(key: string): number {
  let sum = 7;
  for (const letter of key) sum = (sum * 31 + letter.charCodeAt(0)) % 1009;
  return sum / 1009;
}

/** The placard of the axle, from the unit's own card, psi. */
function coldPressureOf({ check, figures }: CheckInstance): number {
  const limit = check.reading?.bands[0]?.limit;
  const si = limit?.from === 'specification' ? figures[limit.field] : undefined;
  return si === undefined ? 90 : fromSi(si, 'psi');
}

/**
 * What would be read at this place after so many kilometres since the demo began: tread goes
 * down, a steer tyre loses a little each week, the compressor tires slowly.
 */
export function readAt(
  instance: CheckInstance,
  kilometres: number,
  startKilometres: number,
  days: number,
  chance: Chance,
): Typed | undefined {
  const { check, key } = instance;
  const own = ownShare(key);
  const name = check.id.slice(check.id.indexOf('.') + 1);
  if (name.startsWith('tyre.tread')) {
    const start = name.endsWith('steer') ? 11 + own * 4 : 12 + own * 8;
    return typed(Math.max(5.4, start - kilometres / 2600 + chance.about(0, 0.25)), '32nds', 0);
  }
  if (name.startsWith('tyre.pressure')) {
    const cold = coldPressureOf(instance);
    const leak = own > 0.7 ? ((days % 21) * 0.25 * cold) / 100 : 0;
    return typed(cold - leak + (chance.about(0, 1.2) * cold) / 100, 'psi', 0);
  }
  switch (name) {
    case 'records.odometer':
      return typed((startKilometres + kilometres) / 1.609344, 'mi', 0);
    case 'electrical.charge':
      return typed(14.1 + own * 0.3 + chance.about(0, 0.05), 'V', 1);
    case 'steering.free-play':
      return typed(5 + own * 3 + kilometres / 9000 + chance.about(0, 0.5), '°', 0);
    case 'air.full-charge':
      return typed(128 + chance.about(0, 2), 'psi', 0);
    case 'air.leak-released':
      return typed(Math.max(0, 0.8 + own * 0.4 + chance.about(0, 0.2)), 'psi/min', 1);
    case 'air.leak-applied':
      return typed(Math.max(0, 1.3 + own * 0.6 + chance.about(0, 0.3)), 'psi/min', 1);
    case 'air.warning':
      return typed(66 + chance.about(0, 1.4), 'psi', 0);
    case 'air.automatic':
      return typed(33 + chance.about(0, 3), 'psi', 0);
    case 'air.build-up':
      return typed(27 + own * 5 + kilometres / 1500 + chance.about(0, 1.5), 's', 0);
    case 'air.cut-in':
      return typed(106 + chance.about(0, 1.2), 'psi', 0);
    case 'edge.depth':
      return typed(128 - days * 0.6 - own * 30 + chance.about(0, 1), 'mm', 0);
    case 'coupling.breakaway-battery':
      return typed(12.75 - days * 0.002 + chance.about(0, 0.04), 'V', 2);
    default:
      return undefined;
  }
}
