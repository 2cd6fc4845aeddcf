import type { Check, Module } from '../catalogue';
import type { UnitName } from '../quantity';

/** Where a house rule holds: one unit, or every unit of the depot that the check belongs to. */
export interface Scope {
  readonly unitId?: string;
}

/** A check that is not asked any more. */
export interface SwitchedOff {
  readonly check: string;
  readonly reason: string;
  readonly scope: Scope;
}

/** A check that the house added to a module of the catalogue. */
export interface OwnCheck {
  readonly module: string;
  readonly check: Check;
  readonly scope: Scope;
}

/** A limit of the house beside that of the law or the unit's specification; never in its place. */
export interface StricterLimit {
  readonly check: string;
  readonly side: 'below' | 'above';
  /** In `unit`. */
  readonly value: number;
  readonly unit: UnitName;
  readonly reason: string;
  readonly scope: Scope;
}

/** What a depot changed of the catalogue. A version is never changed: walks name the one they were made by. */
export interface DepotContent {
  /** 0 is the catalogue as it ships. */
  readonly version: number;
  readonly off: readonly SwitchedOff[];
  readonly own: readonly OwnCheck[];
  readonly stricter: readonly StricterLimit[];
  /** Modules brought in with a file, in place of those of the same id. */
  readonly modules: readonly Module[];
}

export const AS_SHIPPED: DepotContent = {
  version: 0,
  off: [],
  own: [],
  stricter: [],
  modules: [],
};

/** Ids of the checks that a house adds begin so; those of the catalogue never do. */
export const OWN_CHECK = 'house.';
