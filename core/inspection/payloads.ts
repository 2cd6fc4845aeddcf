import type { Capability, Circumstance, Phase } from '../catalogue';
import type { Grade, OtherAnswers } from '../grading';
import type { UnitName } from '../quantity';
import type { Affirmation, VehicleChange } from '../vehicle';

/** Where a reading comes from; a simulated one is always marked as such. */
export type Instrument = 'eye' | 'gauge' | 'sensor' | 'simulated-sensor';

/** Points of a drawn line, x then y, in the pad's own 0…1000 by 0…400 frame. */
export type Stroke = readonly number[];

export interface Signature {
  readonly name: string;
  readonly strokes: readonly Stroke[];
}

/** What the rig is wanted for, beyond the road. */
export interface Job {
  readonly needs: readonly Capability[];
  readonly title?: string;
}

export interface BegunPayload {
  readonly unitIds: readonly string[];
  readonly phase: Phase;
  readonly catalogueVersion: string;
  /** Of the depot's own changes to it; missing where it is asked as it ships. */
  readonly houseVersion?: number;
  /** The policy of the first unit, and of every unit that `policies` does not name. */
  readonly policyId: string;
  readonly policies?: Readonly<Record<string, string>>;
  readonly job?: Job;
  readonly circumstances: readonly Circumstance[];
  /** Stops whose tag must be read, as `unit id/zone id`; what the catalogue itself requires is not named. */
  readonly tags?: readonly string[];
  readonly temperatureC?: number;
  readonly place?: string;
}

export interface AnsweredPayload {
  readonly key: string;
  readonly outcome: 'sound' | 'not-looked' | 'cleared';
  readonly reason?: string;
  /** Said of the rest of a stop in one touch. */
  readonly together?: true;
}

export interface MeasuredPayload {
  readonly key: string;
  /** SI. */
  readonly value: number;
  readonly unit: UnitName;
  readonly typed: string;
  readonly instrument: Instrument;
}

export interface PhotoReference {
  readonly id: string;
  readonly width: number;
  readonly height: number;
}

export interface FaultedPayload {
  readonly key: string;
  readonly defectId: string;
  readonly symptomId: string;
  readonly stepId?: string;
  /** Metres in the frame of the unit. */
  readonly spot?: { readonly x: number; readonly y: number };
  readonly note?: string;
  readonly photos: readonly PhotoReference[];
  readonly fixed?: string;
  readonly raisedTo?: Grade;
  /** Of something that no list names: what it touches. Its words are the note. */
  readonly other?: OtherAnswers;
}

/** A fault that showed on the road, between sign-out and return. */
export type FoundPayload = FaultedPayload;

export interface CountedItem {
  /** Of the item in the list. */
  readonly id: string;
  readonly found: number;
  /** ISO date that is printed on it; the earliest where there are several. */
  readonly until?: string;
}

/** What was found of the list that belongs to a check. */
export interface CountedPayload {
  readonly key: string;
  readonly items: readonly CountedItem[];
}

export interface AcknowledgedPayload {
  readonly defectId: string;
}

export interface SignedPayload {
  readonly signature: Signature;
  /** The headline that the driver saw; the server works out its own and keeps both. */
  readonly headline: string;
}

export interface SealedPayload {
  readonly reportId: string;
  readonly hash: string;
}

export type CertifiedOutcome = 'repaired' | 'no-repair-needed' | 'deferred';

export interface CertifiedPayload {
  readonly defectId: string;
  readonly outcome: CertifiedOutcome;
  /** What was done, or why nothing or not yet. */
  readonly words: string;
  /** ISO date, only for a deferral. */
  readonly until?: string;
  /** The step of the defect's life that the signer had read; a later one refuses. */
  readonly revision?: number;
  readonly signature: Signature;
}

/** A supervisor takes the condition of a minor finding off. */
export interface OverriddenPayload {
  /** Check instance key or defect id of the finding. */
  readonly about: string;
  readonly words: string;
  readonly signature: Signature;
}

/** The driver has looked again at what had to be done before leaving, and says that it is done. */
export interface LookedAgainPayload {
  /** Check instance key or defect id of the finding. */
  readonly about: string;
  /** What was done, where there is something to say. */
  readonly words?: string;
}

/** An officer lets roll what may roll though some of its equipment is out of service. */
export interface ReleasedPayload {
  readonly words: string;
  readonly signature: Signature;
}

export interface SignedOutPayload {
  readonly purpose: 'job' | 'workshop';
  readonly needs: readonly Capability[];
  readonly title?: string;
  /** The conditions that the driver read and accepted. */
  readonly conditions: readonly string[];
  /** Since the walk, the driver has put in, closed and latched what was still out by it. */
  readonly stowed?: true;
}

export interface ReturnedPayload {
  readonly words?: string;
}

export interface AssignedPayload {
  readonly defectId: string;
  /** Id of the mechanic; null puts it back to everybody. */
  readonly to: string | null;
  readonly revision?: number;
}

export interface WorkedPayload {
  readonly defectId: string;
  readonly words: string;
  readonly minutes?: number;
  readonly parts: readonly { readonly words: string; readonly count: number }[];
  readonly photos: readonly (PhotoReference & { readonly when: 'before' | 'after' })[];
}

/** The carrier's agent signs beside the mechanic. */
export interface CountersignedPayload {
  readonly defectId: string;
  readonly signature: Signature;
}

export interface AnnotatedPayload {
  readonly words: string;
  /** A correction of what was said about one defect. */
  readonly defectId?: string;
}

/** Something was done to the vehicle between two checks. */
export interface ChangedPayload {
  readonly change: VehicleChange;
  /** The unit that it was done to, where it is one of the rig's. */
  readonly unitId?: string;
  /** Nobody did it: the driver found it to stand so, other than it was taken to stand. */
  readonly found?: true;
}

/** The driver vouches for something that no clock can tell. */
export interface AffirmedPayload {
  readonly what: Affirmation;
  /** The stop it was said at, as `unit id/zone id`. */
  readonly zone: string;
}

/** It began to rain, to freeze, or it got dark: from now on more is asked. */
export interface TurnedPayload {
  readonly circumstances: readonly Circumstance[];
}

/** A unit stays behind: what is not answered on it is not asked any more, and counts as not looked at. */
export interface DroppedPayload {
  readonly unitId: string;
  readonly reason: string;
}

/** Somebody helps: the actor, or a person without a phone whom the driver names. */
export interface JoinedPayload {
  readonly name: string;
  /** The actor's own phone. */
  readonly phone: boolean;
}

/** The helper left, or was sent away. */
export type PartedPayload = Readonly<Record<string, never>>;

/** What is asked of the helper now: keys of checks; the last word counts. */
export interface AskedPayload {
  readonly keys: readonly string[];
}

/** A tag on the vehicle was read. */
export interface PresentPayload {
  /** `unit id/zone id` */
  readonly zone: string;
  readonly code: string;
  readonly how: 'camera' | 'typed';
}

/** The clock of the phone was changed by so many seconds while it was looked at. */
export interface ClockMovedPayload {
  readonly seconds: number;
}
