import type { Circumstance } from '../catalogue';
import type { Affirmation, VehicleChange } from '../vehicle';

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

/** What happens on a walk beside the answers. */
export interface CoursePayloads {
  changed: ChangedPayload;
  affirmed: AffirmedPayload;
  turned: TurnedPayload;
  dropped: DroppedPayload;
  joined: JoinedPayload;
  parted: PartedPayload;
  asked: AskedPayload;
  present: PresentPayload;
  'clock-moved': ClockMovedPayload;
}
