import type { Reading } from '../../catalogue';
import { unitFor, type UnitHabit, type UnitName } from '../../quantity';

/** What a reading is typed and shown in: its own unit, or what the depot's habit reads for its kind. */
export function unitOf(reading: Reading, habit: UnitHabit): UnitName {
  return reading.typedIn?.[habit] ?? unitFor(reading.kind, habit);
}
