import { DIMENSIONS, DIMENSION_IDS, dimension, type DimensionId, type States } from './dimensions';

/** How a walk ends: ready to leave with the key at hand, or parked and secured for whoever comes next. */
export type EndState = 'ready to leave' | 'parked and secured';

/** Walks after which somebody drives off, or works on. */
const LEAVING = new Set(['pre-trip', 'under-way', 'before-use', 'hook-up', 'jump-start']);
/** Walks that begin just after a drive: blades are up, the key is in. */
const DRIVEN = new Set(['post-trip', 'under-way']);

export function endOf(phase: string): EndState {
  return LEAVING.has(phase) ? 'ready to leave' : 'parked and secured';
}

/** Everything in, closed and latched; chocks aboard where it leaves, engine off and key away where it stays. */
export function statesAtEnd(phase: string): States {
  const leaves = endOf(phase) === 'ready to leave';
  const at: Partial<Record<DimensionId, readonly string[]>> = {};
  for (const id of DIMENSION_IDS) {
    const { rolling, parked, fixed } = dimension(id);
    if (fixed) continue;
    const value = leaves ? rolling : id in WITHOUT_A_WORD ? undefined : parked;
    if (value !== undefined) at[id] = [value];
  }
  return { ...at, brake: ['set'], gear: ['neutral'] };
}

/** Chocks may stay in where it stays. */
const WITHOUT_A_WORD = { chocks: true } as const;

/** Whether the tanks can be taken to be full when a walk of this phase begins: it was driven just now. */
export function isDriven(phase: string): boolean {
  return DRIVEN.has(phase);
}

/** How each thing stands when a walk of this phase begins, as far as a plan may assume it; the walk asks. */
export function valueAtBeginning(id: DimensionId, phase: string): string {
  const driven = DRIVEN.has(phase);
  if (driven && id === 'key') return 'in';
  return driven ? (dimension(id).rolling ?? DIMENSIONS[id].parked) : DIMENSIONS[id].parked;
}
