import type {
  Capability,
  Check,
  ContentsItem,
  Place,
  SpecificationField,
  Zone,
} from '../catalogue';
import type { PlacedUnit } from './place';
import type { Unit } from './unit';

/** One thing to look at on one unit: the check, and which wheel or lamp. */
export interface CheckInstance {
  /** `unit id/check id/place id`, stable for the life of the unit. */
  readonly key: string;
  readonly unit: Unit;
  readonly check: Check;
  readonly place?: Place;
  /** What is counted to answer it. */
  readonly contents?: readonly ContentsItem[];
  /** Figures that hold here, SI: those of the card, and at a wheel those of its axle. */
  readonly figures: Readonly<Record<string, number>>;
  /** What stands on the card of its unit, where a reading is held against it. */
  readonly fields?: readonly SpecificationField[];
  readonly zoneKey: string;
  /** Metres in the rig's frame. */
  readonly x: number;
  readonly y: number;
}

export interface RigZone extends Zone {
  /** `unit id/zone id`. */
  readonly key: string;
  readonly unit: Unit;
}

export interface Rig {
  readonly units: readonly PlacedUnit[];
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly towing: boolean;
  /** More than one air-braked vehicle share the air. */
  readonly combinationAir: boolean;
  readonly zones: readonly RigZone[];
  readonly instances: readonly CheckInstance[];
  /** Checks that are not asked because of how the rig is put together: with something aboard nothing is cycled as empty. */
  readonly barred: readonly BarredCheck[];
  readonly capabilities: readonly Capability[];
}

export interface BarredCheck {
  readonly unit: Unit;
  readonly check: Check;
  /** The unit that is in or on it. */
  readonly carries?: Unit;
}
