import type { AnyObjectSchema } from 'yup';
import type { Fields } from '../../fields';
import type { Stamp } from '../answers';
import type { Draft, Inspection } from '../inspection';

/** What every entry has, whatever it says. */
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

/** Why the log itself does not take an entry. */
export type Refusal =
  | 'not-begun'
  | 'already-begun'
  | 'already-signed'
  | 'not-sealed'
  | 'no-such-defect'
  | 'already-signed-out'
  | 'not-signed-out'
  | 'already-returned'
  | 'already-overridden'
  | 'not-a-pre-trip'
  | 'helper-there'
  | 'other-walk'
  | 'server-only';

/** Why this person may not enter it. */
export type PersonRefusal =
  | 'other-walk'
  | 'mechanics-only'
  | 'workshop-only'
  | 'supervisors-only'
  | 'driver-or-workshop-only'
  | 'server-only';

/** How far the walk must be. `begun`: at any time from then on. */
export type When = 'not-begun' | 'begun' | 'walking' | 'signed' | 'out';

/** Who a person is to a walk: their role, or whether they drive or help on it. */
export type Party = 'server' | 'anyone' | 'driver' | 'helper' | 'mechanic' | 'supervisor';

/** What the server holds an entry against beside the log: units, defects, tags, policies. It knows how; the type of event says what. */
export type ServerCheck =
  | 'units-make-a-rig'
  | 'check-on-rig'
  | 'helper-may-answer'
  | 'defect-on-rig'
  | 'tag-of-that-stop'
  | 'unit-may-stay-behind'
  | 'walk-is-complete'
  | 'repair-to-read'
  | 'finding-may-be-overridden'
  | 'asked-before-leaving'
  | 'rig-may-leave'
  | 'mechanic-of-the-depot'
  | 'defect-is-open'
  | 'certificate-is-allowed'
  | 'second-signature-is-wanted';

/** Everything there is to know of one type of event; one file each in this folder. */
export interface EventKind<P> {
  /** Version 1 of what it says, with a greatest size for all of it. */
  readonly schema: (fields: Fields) => AnyObjectSchema;
  readonly who: readonly Party[];
  readonly when: When;
  /** What else in the log stands against it; undefined when nothing does. */
  readonly unless?: (inspection: Inspection, entry: Entry<P>) => Refusal | undefined;
  readonly serverChecks: readonly ServerCheck[];
  /** What it does to the state of the walk. */
  readonly effect: (draft: Draft, payload: P, stamp: Stamp, envelope: Envelope) => void;
  /** It comes after the walk, each bears on the next, and a sealed report gets it as an addition. */
  readonly addition?: true;
}

export type Entry<P> = Envelope & { readonly payload: P };
