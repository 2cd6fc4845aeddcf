import type { Reading } from '../../catalogue';
import { toSi, type Kind, type UnitName } from '../../quantity';

/** How far a reading moves between two walks without anybody wondering. */
interface Usual {
  /** Most that it rises, and most that it falls. */
  readonly up: number;
  readonly down: number;
  readonly unit: UnitName;
}

/**
 * Tread does not grow and does not lose three millimetres between two walks; an odometer does not run back and makes no
 * three thousand kilometres; a battery, a charging set and a steering wheel stay near where they were. What is not here may be anything:
 * air in the middle of a test, oil at its level.
 */
const USUAL: Readonly<Partial<Record<Kind, Usual>>> = {
  depth: { up: 1, down: 3, unit: 'mm' },
  distance: { up: 3000, down: 0, unit: 'km' },
  voltage: { up: 2, down: 2, unit: 'V' },
  angle: { up: 8, down: 8, unit: '°' },
};

/**
 * Whether a reading leaps from the last one so that it is asked again: another wheel, a slip of the thumb, a new tyre.
 * @param value and last SI
 */
export function isLeap(reading: Reading, value: number, last: number | undefined): boolean {
  const usual = USUAL[reading.kind];
  // What only wears away does not grow; a stroke or a play that is adjusted may be anything.
  if (reading.kind === 'depth' && !reading.bands.some(({ side }) => side === 'below')) return false;
  if (!usual || last === undefined || !Number.isFinite(last)) return false;
  const [spread, unit] = reading.uncertainty;
  // Both were read with the same instrument.
  const doubt = 2 * (toSi(spread, unit) - toSi(0, unit));
  const step = (size: number) => toSi(size, usual.unit) - toSi(0, usual.unit);
  return value - last > step(usual.up) + doubt || last - value > step(usual.down) + doubt;
}
