import type { Kind, UnitHabit, UnitName } from '../quantity';
import type { RunningGear } from './card';
import type {
  Bar,
  Capability,
  Circumstance,
  Coupling,
  Harm,
  HeldBy,
  Method,
  MountSort,
  Need,
  Phase,
  PowerSource,
  Preceded,
  Round,
  Supply,
  System,
  UseStep,
  VehicleChange,
  VehicleClass,
} from './terms';

export type Helper = 'none' | 'may-help' | 'needed' | 'driver-only';

export type Signal = 'DANGER' | 'WARNING' | 'CAUTION' | 'NOTICE';

export interface Caution {
  readonly signal: Signal;
  readonly words: string;
}

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

/** Weighs more in a circumstance, or when today's job needs a capability. */
export type Worsening = { readonly harm: Harm; readonly because: string } & (
  { readonly in: Circumstance } | { readonly needed: Capability }
);

/** Where one policy names this very symptom. It can only make it weigh more. */
export interface PolicyException {
  readonly policy: string;
  readonly harm: Harm;
  readonly because: string;
  /** The rule that says so. */
  readonly source: string;
}

/** What a public schedule of defects says of a symptom. */
export interface Listed {
  readonly standard: string;
  /** The number of the item in the schedule for this class of vehicle. */
  readonly item: string;
  /** The defect as the schedule names it, in short. */
  readonly words: string;
  readonly grade: 'minor' | 'major';
  /** Only in one of these. */
  readonly when?: readonly Circumstance[];
  /** Only so many of them. */
  readonly from?: number;
  /** Only to this extent. */
  readonly step?: string;
}

/** Several of the same symptom in one walk weigh more: from a count, or from a share of all of its places on the unit. */
export type Many = { readonly harm: Harm; readonly because: string } & (
  { readonly from: number } | { readonly share: number }
);

export interface Symptom {
  readonly id: string;
  readonly words: string;
  readonly system: System;
  /** Harm where no scale is asked; with a scale the step decides. */
  readonly harm: Harm;
  readonly scale?: Scale;
  /** Capabilities of this unit that are lost when the grade is major. */
  readonly takes: readonly Capability[];
  /** How the driver may put this very symptom right on the spot and go on; nothing where only a workshop can. */
  readonly fixes?: readonly string[];
  /** What remains when it was put right on the spot; `watch` where nothing is said. A sling laid aside leaves a repair. */
  readonly fixLeaves?: Harm;
  readonly worse?: readonly Worsening[];
  /** What to heed when it may still roll with this fault. */
  readonly condition?: string;
  /** What that condition rules out, so that a sign-out can hold it against tonight's job. */
  readonly bars?: Bar;
  /** Not faster than this with the fault, km/h. */
  readonly mostKmh?: number;
  readonly many?: Many;
  /** Filled in from the schedules (core/schedules), never written by hand. */
  readonly listed?: readonly Listed[];
  readonly exceptions?: readonly PolicyException[];
}

/** Faults that are worse together than each alone, on one unit. */
export interface Combination {
  readonly id: string;
  /** Every part must have a fault (of the named symptoms, or any). */
  readonly parts: readonly { readonly check: string; readonly symptoms?: readonly string[] }[];
  readonly harm: Harm;
  readonly takes: readonly Capability[];
  readonly because: string;
}

/** Work that is due by time, distance, hours or season, whatever the walks find. */
export interface Service {
  readonly id: string;
  readonly title: string;
  readonly every:
    | { readonly days: number }
    | { readonly km: number }
    | { readonly hours: number }
    /** Once a year, before this day: month 1 to 12. */
    | { readonly season: { readonly month: number; readonly day: number } };
  readonly source?: string;
}

/**
 * `house` is a caution of our own, stricter than law and never in its place; where no law has a limit
 * (the edge of a plow) it is the depot's decision and may grade.
 */
export type Limit =
  | {
      readonly from: 'law' | 'house';
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
  /** Only at wheels that are steered, or only at all others. */
  readonly at?: 'steered' | 'not-steered';
}

export interface Reading {
  readonly kind: Kind;
  readonly ask: string;
  /** What it is typed in, where that is not what the depot's habit reads for the kind. */
  readonly typedIn?: Readonly<Record<UnitHabit, UnitName>>;
  /** Without it the check cannot be called sound. */
  readonly required: boolean;
  /**
   * Asked only where the card of the unit has the figure: without one there is nothing to hold a number against, and the eye decides. Never
   * of what is required.
   */
  readonly byCard?: boolean;
  /** Worst band first. */
  readonly bands: readonly Band[];
  /** Outside of this the number is asked again. */
  readonly plausible: readonly [min: number, max: number, unit: UnitName];
  /** What cannot be: a field of the specification that the reading never exceeds. */
  readonly neverAbove?: string;
  /** Half-width of what the instrument can tell apart. */
  readonly uncertainty: readonly [value: number, unit: UnitName];
}

/** How something is moved in a check. */
export interface Movement {
  /** What moves: a name within the unit, by which faults of its parts bar it. */
  readonly part: string;
  readonly by: PowerSource;
  readonly held: HeldBy;
  /** Who must be out of the way: nobody but the hand, or everybody out of a zone that is looked over. */
  readonly clear: 'hand' | 'zone';
  /** How it stands after it, in words where it is not as before. */
  readonly ends: 'as-before' | string;
  /** An interlock: this input is taken away while everything else would let it move. */
  readonly takesAway?: string;
  /** What is proved by it; a test that is left out takes only this. */
  readonly proves: readonly Capability[];
}

export interface Check {
  readonly id: string;
  /** What the driver is told to do. */
  readonly title: string;
  /** What is looked at, a noun for lists and reports; catalogues of before have none. */
  readonly partName?: string;
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
  readonly cautions: readonly Caution[];
  readonly why: string;
  /** It is made by a procedure of its own. */
  readonly guide?: 'engine-start';
  /** It moves something, or is moved by a hand: by what, how the vehicle is held, who is out of the way, how it stands after it. */
  readonly moves?: Movement;
  /**
   * The movement of its unit that what is looked at here carries, moves or guards: with a fault that stops, that is not made any
   * more. Where nothing is said, all movements of the module that the check came with; none where it is empty.
   */
  readonly partOf?: readonly string[];
  /** What must not happen before it was made. */
  readonly precedes?: readonly Preceded[];
  /**
   * What it leaves behind when it was made, by the id of a symptom that stops: a vehicle that was made ready to be towed does not roll
   * until a workshop has released it. Such a check is never sound.
   */
  readonly leaves?: string;
  /** Of which machine it is, and where it stands in the use of it; without it nothing is said of that. */
  readonly use?: { readonly of: string; readonly step: UseStep };
  /** Air that it wants when it begins, and what it leaves in the tanks; psi. */
  readonly air?: { readonly atLeast?: number; readonly leaves?: number };
  /** Called sound, this has been done to the vehicle. */
  readonly does?: readonly VehicleChange[];
  /** May be begun here where the vehicle asks for it; its clock runs while hands and feet do something else. */
  readonly offers?: readonly VehicleChange[];
}

/** Metres in the module's own frame: x rearward from its front, y to the driver's right. */
export interface Zone {
  readonly id: string;
  readonly title: string;
  readonly round: Round;
  readonly x: number;
  readonly y: number;
  readonly cautions?: readonly Caution[];
  /** In these phases whoever looks here proves by the tag of this stop that they were there. */
  readonly tagged?: readonly Phase[];
}

export interface Place {
  readonly id: string;
  readonly title: string;
  readonly sorts: readonly string[];
  readonly zone: string;
  readonly x: number;
  readonly y: number;
  /** At a wheel: which axle of the unit it belongs to, counted from 0. */
  readonly axle?: number;
}

export interface Shape {
  readonly kind: 'rect' | 'line';
  readonly role:
    | 'body'
    | 'cab'
    | 'glass'
    | 'deck'
    | 'frame'
    | 'tank'
    | 'wheel'
    | 'lamp'
    | 'drawbar'
    | 'hopper'
    | 'blade'
    | 'boom'
    | 'platform'
    | 'outrigger'
    | 'track';
  readonly x: number;
  readonly y: number;
  readonly length: number;
  readonly width: number;
  readonly round?: number;
}

/** A number of the unit's own that a limit or the joining of rigs asks for; kept in SI. */
export interface SpecificationField {
  readonly id: string;
  readonly title: string;
  readonly kind: Kind;
  /** Without it a limit cannot be judged. */
  readonly required?: boolean;
}

/** A point that carries equipment: where, in metres of the module's own frame. */
export interface Mount {
  readonly sort: MountSort;
  readonly x: number;
  readonly y?: number;
  /** How high above the ground what is set on it stands; 0 where its own height counts from the ground. */
  readonly z?: number;
}

/** One step of a guided sequence. */
export interface ProcedureStep {
  readonly id: string;
  /** In the imperative: one movement, one look. */
  readonly say: string;
  /** What good looks like. */
  readonly see?: string;
  readonly who?: 'driver' | 'helper' | 'both';
  /** Must be answered with yes before the next step; otherwise it ends here, and this says why. */
  readonly gate?: { readonly ask: string; readonly otherwise: string };
  /** The rated charts of the unit are looked up here. */
  readonly chart?: boolean;
  /** Held at least this long, seconds. */
  readonly holdSeconds?: number;
  /** Too slow when it takes longer, seconds. */
  readonly withinSeconds?: number;
  /** Symptoms of the check that show in this step. */
  readonly fails: readonly string[];
}

/** A function cycle: played step by step, its clear zone and cautions first. */
export interface Procedure {
  readonly id: string;
  readonly title: string;
  /** The check that is answered by it. */
  readonly check: string;
  /** Where the one who operates stands. */
  readonly stand: string;
  /** Nobody is in here while anything moves: metres in the frame of the module. */
  readonly clear: {
    readonly x: number;
    readonly y: number;
    readonly length: number;
    readonly width: number;
  };
  readonly cautions: readonly Caution[];
  readonly steps: readonly ProcedureStep[];
}

/** What belongs in a box or on a rack: counted, and held against its date. */
export interface ContentsItem {
  readonly id: string;
  /** The check that is answered by counting it, together with all else that names this check. */
  readonly check: string;
  readonly title: string;
  readonly count: number;
  /** It has a date after which it is not good any more. */
  readonly expires?: boolean;
}

export interface Module {
  readonly id: string;
  readonly title: string;
  /**
   * A chassis drives or is towed and has a number; what is fitted belongs to a chassis for good; an attachment has a
   * number of its own and is mounted, slid in or carried for a while.
   */
  readonly build: 'chassis' | 'fitted' | 'attachment';
  readonly vehicleClass: VehicleClass;
  readonly powered: boolean;
  readonly airBrakes: boolean;
  /** How one gets at its engine: a hood, where nothing is said, or a cab that is tilted. */
  readonly opens?: 'hood' | 'cab';
  readonly length: number;
  readonly width: number;
  readonly height: number;
  readonly capabilities: readonly Capability[];
  /** Its axles; the card of a unit may name others. Nothing where it has no wheels of its own, or is an older version. */
  readonly runningGear?: RunningGear;
  readonly joints: {
    readonly front?: { readonly sort: Coupling; readonly x: number };
    readonly rear?: { readonly sort: Coupling; readonly x: number };
  };
  readonly mounts: readonly Mount[];
  /** Where this goes on what carries it: the sort of mount, and the point of this module that sits on it. */
  readonly mountsOn?: Mount;
  readonly gives: readonly Supply[];
  readonly requires: readonly Supply[];
  readonly specification: readonly SpecificationField[];
  readonly zones: readonly Zone[];
  readonly places: readonly Place[];
  readonly shapes: readonly Shape[];
  readonly checks: readonly Check[];
  readonly procedures: readonly Procedure[];
  readonly contents: readonly ContentsItem[];
  readonly combinations: readonly Combination[];
  readonly services: readonly Service[];
  /** Ids of the modules that are fitted to it, once they are joined. */
  readonly parts?: readonly string[];
  /** Checks that the house does not ask, with its reason. */
  readonly switchedOff?: readonly SwitchedOffCheck[];
}

export interface SwitchedOffCheck {
  readonly check: string;
  readonly title: string;
  readonly reason: string;
}

export interface Catalogue {
  readonly version: string;
  readonly modules: readonly Module[];
}
