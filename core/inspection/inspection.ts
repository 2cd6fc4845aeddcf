import type { Answer, Said, Stamp } from './answers';
import type {
  AffirmedPayload,
  AnnotatedPayload,
  AskedPayload,
  AssignedPayload,
  BegunPayload,
  CertifiedPayload,
  ChangedPayload,
  ClockMovedPayload,
  CountedPayload,
  CountersignedPayload,
  DroppedPayload,
  FoundPayload,
  JoinedPayload,
  LookedAgainPayload,
  OverriddenPayload,
  PresentPayload,
  ReleasedPayload,
  ReturnedPayload,
  SealedPayload,
  SignedOutPayload,
  SignedPayload,
  TurnedPayload,
  WorkedPayload,
} from './payloads';

/** What happened on a walk beside the answers, oldest first. */
export interface Course {
  readonly changes: readonly (ChangedPayload & Stamp)[];
  readonly affirmed: readonly (AffirmedPayload & Stamp)[];
  readonly turned: readonly (TurnedPayload & Stamp)[];
  /** Units that stay behind, by their id; the first word counts. */
  readonly dropped: ReadonlyMap<string, DroppedPayload & Stamp>;
  /** Whoever helps now. */
  readonly helper?: JoinedPayload & Stamp;
  /** Everybody who came and went: `to` is missing for who is still there. */
  readonly helpers: readonly (JoinedPayload & Stamp & { readonly to?: number })[];
  /** What is asked of the helper now. */
  readonly asked?: AskedPayload & Stamp;
  /** Stops at which presence was proven, by zone; the first reading counts. */
  readonly present: ReadonlyMap<string, PresentPayload & Stamp>;
  readonly clockMoves: readonly (ClockMovedPayload & Stamp)[];
}

/** The state of one walk, folded from its log. */
export interface Inspection {
  readonly id: string;
  readonly begun?: BegunPayload & Stamp;
  /** Present answer by check instance key. */
  readonly answers: ReadonlyMap<string, Answer>;
  /** Answers that a later one has replaced, oldest first. */
  readonly replaced: ReadonlyMap<string, readonly Answer[]>;
  /** The last count of a list, by check instance key. */
  readonly counts: ReadonlyMap<string, CountedPayload & Stamp>;
  readonly acknowledged: ReadonlyMap<string, Stamp>;
  /** What happened beside the answers. */
  readonly course: Course;
  readonly signed?: SignedPayload & Stamp;
  readonly sealed?: SealedPayload & Stamp;
  readonly certifications: readonly (CertifiedPayload & Stamp)[];
  readonly countersignatures: readonly (CountersignedPayload & Stamp)[];
  readonly assignments: readonly (AssignedPayload & Stamp)[];
  readonly work: readonly (WorkedPayload & Stamp)[];
  /** The first override of a finding stands, by check instance key or defect id. */
  readonly overrides: ReadonlyMap<string, OverriddenPayload & Stamp>;
  /** What was looked at again before leaving, the last time, by check instance key or defect id. */
  readonly lookedAgain: ReadonlyMap<string, LookedAgainPayload & Stamp>;
  readonly released?: ReleasedPayload & Stamp;
  readonly signedOut?: SignedOutPayload & Stamp;
  readonly returned?: ReturnedPayload & Stamp;
  /** Faults that showed on the road, oldest first; the walk that was signed does not have them. */
  readonly found: readonly (FoundPayload & Stamp)[];
  readonly annotations: readonly (AnnotatedPayload & Stamp)[];
  /** Entries of a newer kind that this version keeps but cannot read. */
  readonly unread: number;
  readonly lastAt: number;
}

type Open<T> = {
  -readonly [K in keyof T]: T[K] extends ReadonlyMap<infer A, infer B>
    ? Map<A, B>
    : T[K] extends readonly (infer B)[]
      ? B[]
      : T[K];
};

/** The state while it is being folded. */
export type Draft = Open<Omit<Inspection, 'course' | 'replaced'>> & {
  replaced: Map<string, readonly Answer[]>;
  course: Open<Course>;
  /** What everybody has said, by check instance key. */
  said: Map<string, Said>;
};

export function emptyDraft(id: string): Draft {
  return {
    said: new Map(),
    id,
    answers: new Map(),
    replaced: new Map(),
    counts: new Map(),
    acknowledged: new Map(),
    course: {
      changes: [],
      affirmed: [],
      turned: [],
      dropped: new Map(),
      helpers: [],
      present: new Map(),
      clockMoves: [],
    },
    certifications: [],
    countersignatures: [],
    assignments: [],
    work: [],
    overrides: new Map(),
    lookedAgain: new Map(),
    found: [],
    annotations: [],
    unread: 0,
    lastAt: 0,
  };
}
