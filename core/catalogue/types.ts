import type { Kind, UnitName } from '../quantity';

export type Capability =
  'road' | 'tow' | 'dump' | 'plow' | 'spread' | 'lift-gate' | 'passengers' | 'yard';

export type Method =
  | 'look'
  | 'feel'
  | 'shake'
  | 'thump'
  | 'listen'
  | 'smell'
  | 'measure'
  | 'operate'
  | 'drain'
  | 'count'
  | 'clean';

export type Phase = 'pre-trip' | 'post-trip';

/** What must be true of the vehicle, or in the inspector's hand, before the check. */
export type Need =
  | 'engine-off'
  | 'engine-cold'
  | 'key-on'
  | 'engine-idling'
  | 'level-ground'
  | 'chocked'
  | 'parking-brake-set'
  | 'parking-brake-released'
  | 'air-charged'
  | 'lamps-on'
  | 'lamp'
  | 'tread-gauge'
  | 'pressure-gauge'
  | 'thumper'
  | 'rag'
  | 'gloves'
  | 'glasses'
  | 'hearing-protection';

export type Helper = 'none' | 'may-help' | 'needed' | 'driver-only';

/** Facts of the moment that make checks appear or symptoms worse. */
export type Circumstance = 'dark' | 'wet' | 'freezing' | 'towing';

export type Signal = 'DANGER' | 'WARNING' | 'CAUTION' | 'NOTICE';

export interface Caution {
  readonly signal: Signal;
  readonly words: string;
}

/** What a symptom does to the vehicle, before any policy names a grade. */
export type Harm = 'watch' | 'repair' | 'stop';

/** Parts that count together when several small faults add up. */
export type System =
  | 'body'
  | 'brakes'
  | 'coupling'
  | 'driver-place'
  | 'electrical'
  | 'emergency'
  | 'engine'
  | 'exhaust'
  | 'frame'
  | 'fuel'
  | 'glass'
  | 'lamps'
  | 'load'
  | 'records'
  | 'steering'
  | 'suspension'
  | 'tyres'
  | 'wheels';

export interface ScaleStep {
  readonly id: string;
  readonly words: string;
  readonly harm: Harm;
}

/** The second question: how much. */
export interface Scale {
  readonly question: string;
  readonly steps: readonly ScaleStep[];
}

export interface Worsening {
  readonly in: Circumstance;
  readonly harm: Harm;
  readonly because: string;
}

export interface Symptom {
  readonly id: string;
  readonly words: string;
  readonly system: System;
  /** Harm where no scale is asked; with a scale the step decides. */
  readonly harm: Harm;
  readonly scale?: Scale;
  /** Capabilities of this unit that are lost when the grade is major. */
  readonly takes: readonly Capability[];
  /** The driver may put it right on the spot and go on. */
  readonly fixable: boolean;
  readonly worse?: readonly Worsening[];
  /** What to heed when it may still roll with this fault. */
  readonly condition?: string;
  /** Several of the same symptom in one walk weigh more: from this count on. */
  readonly many?: {
    readonly from: number;
    readonly harm: Harm;
    readonly because: string;
  };
}

export type Limit =
  | {
      readonly from: 'law';
      readonly value: number;
      readonly unit: UnitName;
      readonly source: string;
    }
  | {
      readonly from: 'specification';
      readonly field: string;
      readonly share?: number;
    };

/** A side of the reading that is not sound, and the symptom it stands for. */
export interface Band {
  readonly side: 'below' | 'above';
  readonly limit: Limit;
  readonly symptom: string;
  /** Some limits differ for one air-braked vehicle and a combination of them. */
  readonly only?: 'single' | 'combination';
}

export interface Reading {
  readonly kind: Kind;
  readonly ask: string;
  /** Without it the check cannot be called sound. */
  readonly required: boolean;
  /** Worst band first. */
  readonly bands: readonly Band[];
  /** Outside of this the number is asked again. */
  readonly plausible: readonly [min: number, max: number, unit: UnitName];
  /** What cannot be: a field of the specification that the reading never exceeds. */
  readonly neverAbove?: string;
  /** Half-width of what the instrument can tell apart. */
  readonly uncertainty: readonly [value: number, unit: UnitName];
}

export interface Check {
  readonly id: string;
  readonly title: string;
  readonly zone: string;
  /** Places of this sort each get their own instance of the check. */
  readonly each?: string;
  readonly method: Method;
  readonly phases: readonly Phase[];
  readonly needs: readonly Need[];
  readonly helper: Helper;
  readonly when?: readonly Circumstance[];
  readonly seconds: number;
  readonly criterion: string;
  /** The public rule behind the criterion, where there is one. */
  readonly source?: string;
  readonly reading?: Reading;
  readonly symptoms: readonly Symptom[];
  readonly fixes: readonly string[];
  readonly cautions: readonly Caution[];
  readonly why: string;
}

/** Where the feet are: walked round, or reached in a fixed group afterwards. */
export type Round = 'outside' | 'engine-bay' | 'cab' | 'brakes';

/** Metres in the module's own frame: x rearward from its front, y to the driver's right. */
export interface Zone {
  readonly id: string;
  readonly title: string;
  readonly round: Round;
  readonly x: number;
  readonly y: number;
  readonly cautions?: readonly Caution[];
}

export interface Place {
  readonly id: string;
  readonly title: string;
  readonly sorts: readonly string[];
  readonly zone: string;
  readonly x: number;
  readonly y: number;
}

export interface Shape {
  readonly kind: 'rect' | 'line';
  readonly role:
    'body' | 'cab' | 'glass' | 'deck' | 'frame' | 'tank' | 'wheel' | 'lamp' | 'drawbar';
  readonly x: number;
  readonly y: number;
  readonly length: number;
  readonly width: number;
  readonly round?: number;
}

export interface Module {
  readonly id: string;
  readonly title: string;
  readonly powered: boolean;
  readonly airBrakes: boolean;
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly capabilities: readonly Capability[];
  readonly joints: {
    readonly front?: { readonly sort: string; readonly x: number };
    readonly rear?: { readonly sort: string; readonly x: number };
  };
  readonly zones: readonly Zone[];
  readonly places: readonly Place[];
  readonly shapes: readonly Shape[];
  readonly checks: readonly Check[];
}

export interface Catalogue {
  readonly version: string;
  readonly modules: readonly Module[];
}
