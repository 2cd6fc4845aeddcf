import type { Phase } from '../catalogue';
import type { Layout } from '../vehicle';
import { AIR_FULL, bitOf, slotName, valueAtBeginning } from '../vehicle';

/** How the vehicle stands when the walk begins. */
export interface Outset {
  readonly phase: Phase;
  readonly freezing: boolean;
  /** It has no air brakes, or it was driven just now. */
  readonly airUp: boolean;
  /** The engine has just been shut down. */
  readonly warm: boolean;
  /** Somebody has started the engine already. */
  readonly running: boolean;
  /** In the middle of a walk: how it stands now. */
  readonly now?: StandingNow;
}

/** A vehicle in the middle of a walk. Seconds until a clock has run down; Infinity for one that was never started. */
export interface StandingNow {
  /** Key of the zone where the driver stands. */
  readonly zone?: string;
  /** Values by the name of their slot (see {@link slotName}); what is missing stands as the walk began. */
  readonly states: Readonly<Record<string, string>>;
  /** psi in the tanks now. */
  readonly air: number;
  readonly oilIn: number;
  readonly coldIn: number;
  readonly settledIn: number;
  readonly warmIn: number;
  /** A parked cleaning of the exhaust runs that long. */
  readonly cleanIn: number;
}

/** One bit for each slot. */
export function valuesAt(layout: Layout, { phase, running, now }: Outset): Uint8Array {
  return Uint8Array.from(layout.slots, (slot) => {
    const { dimension } = slot;
    const said = now?.states[slotName(slot)];
    if (said !== undefined) return bitOf(dimension, said);
    if (running && dimension === 'engine') return bitOf('engine', 'idling');
    if (running && dimension === 'key') return bitOf('key', 'on');
    return bitOf(dimension, valueAtBeginning(dimension, phase));
  });
}

/** psi in the tanks. */
export function airAt({ airUp, now }: Outset): number {
  return now?.air ?? (airUp ? AIR_FULL : 0);
}
