import type { Circumstance, Phase } from '../catalogue';
import type { Grade } from '../grading';
import type { UnitName } from '../quantity';

/** Where a reading comes from; a simulated one is always marked as such. */
export type Instrument = 'eye' | 'gauge' | 'sensor' | 'simulated-sensor';

/** Points of a drawn line, x then y, in the pad's own 0…1000 by 0…400 frame. */
export type Stroke = readonly number[];

export interface Signature {
  readonly name: string;
  readonly strokes: readonly Stroke[];
}

export interface BegunPayload {
  readonly unitIds: readonly string[];
  readonly phase: Phase;
  readonly catalogueVersion: string;
  readonly policyId: string;
  readonly circumstances: readonly Circumstance[];
  readonly temperatureC?: number;
  readonly place?: string;
}

export interface AnsweredPayload {
  readonly key: string;
  readonly outcome: 'sound' | 'not-looked' | 'cleared';
  readonly reason?: string;
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
  readonly signature: Signature;
}

export interface AnnotatedPayload {
  readonly words: string;
}

export interface Payloads {
  begun: BegunPayload;
  answered: AnsweredPayload;
  measured: MeasuredPayload;
  faulted: FaultedPayload;
  acknowledged: AcknowledgedPayload;
  signed: SignedPayload;
  sealed: SealedPayload;
  certified: CertifiedPayload;
  annotated: AnnotatedPayload;
}

export type EventType = keyof Payloads;

export interface Envelope {
  /** UUIDv7 made on the device. */
  readonly id: string;
  readonly inspectionId: string;
  readonly deviceId: string;
  readonly actorId: string;
  /** Device time, milliseconds since 1970, corrected by the offset seen at sync. */
  readonly at: number;
  readonly sequence: number;
  readonly version: 1;
}

export type InspectionEvent = {
  [T in EventType]: Envelope & { readonly type: T; readonly payload: Payloads[T] };
}[EventType];

/** As it comes over the wire: perhaps of a newer type. */
export type AnyEvent = Envelope & { readonly type: string; readonly payload: unknown };
