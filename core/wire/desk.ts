import type { Phase } from '../catalogue';
import type { Outing, PlannedJob } from './reference';

/** A walk of the last day and a half, as a supervisor's desk lists it. */
export interface DeskWalk {
  readonly inspectionId: string;
  readonly unitIds: readonly string[];
  readonly numbers: readonly string[];
  readonly phase: Phase;
  readonly headline: 'rolls' | 'limits' | 'stays';
  readonly signedAt: string;
  readonly driver: string;
  readonly outAt: string | null;
  readonly returnedAt: string | null;
}

export interface Desk {
  readonly walks: readonly DeskWalk[];
  readonly outings: readonly Outing[];
  readonly jobs: readonly PlannedJob[];
  /** Stops of the last thirty days, and how many were faster than they can be walked. */
  readonly pace: {
    readonly stops: number;
    readonly hasty: number;
    readonly places: readonly { readonly title: string; readonly count: number }[];
  };
  readonly setAside: readonly SetAside[];
}

/** Entries of somebody's phone that the server could not take in for one reason. */
export interface SetAside {
  readonly id: string;
  readonly person: string;
  readonly count: number;
  /** Why, as a code that `desk.reasons` has words for. */
  readonly code: string;
  /** What exactly was wrong, or the sentence that the driver was told. */
  readonly detail: string;
  readonly receivedAt: string;
}
