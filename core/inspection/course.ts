import type { Circumstance } from '../catalogue';
import type {
  AffirmedPayload,
  AskedPayload,
  ChangedPayload,
  ClockMovedPayload,
  CoursePayloads,
  DroppedPayload,
  JoinedPayload,
  PresentPayload,
  TurnedPayload,
} from './course-events';
import type { Stamp } from './answers';

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

export const NO_COURSE: Course = {
  changes: [],
  affirmed: [],
  turned: [],
  dropped: new Map(),
  helpers: [],
  present: new Map(),
  clockMoves: [],
};

export type CourseEvent = {
  [T in keyof CoursePayloads]: {
    readonly type: T;
    readonly payload: CoursePayloads[T];
  };
}[keyof CoursePayloads];

/** The course with one thing more. */
export function follow(course: Course, event: CourseEvent, stamp: Stamp): Course {
  switch (event.type) {
    case 'changed':
      return { ...course, changes: [...course.changes, { ...event.payload, ...stamp }] };
    case 'affirmed':
      return { ...course, affirmed: [...course.affirmed, { ...event.payload, ...stamp }] };
    case 'turned':
      return { ...course, turned: [...course.turned, { ...event.payload, ...stamp }] };
    case 'dropped': {
      if (course.dropped.has(event.payload.unitId)) return course;
      const dropped = new Map(course.dropped);
      dropped.set(event.payload.unitId, { ...event.payload, ...stamp });
      return { ...course, dropped };
    }
    case 'joined': {
      // The first to come stays; a second one is refused by the server.
      if (course.helper) return course;
      const helper = { ...event.payload, ...stamp };
      return { ...course, helper, helpers: [...course.helpers, helper] };
    }
    case 'parted': {
      if (!course.helper) return course;
      const { helper: _, asked: __, ...rest } = course;
      const helpers = course.helpers.map((each) =>
        each.to === undefined ? { ...each, to: stamp.at } : each,
      );
      return { ...rest, helpers };
    }
    case 'asked':
      return { ...course, asked: { ...event.payload, ...stamp } };
    case 'present': {
      if (course.present.has(event.payload.zone)) return course;
      const present = new Map(course.present);
      present.set(event.payload.zone, { ...event.payload, ...stamp });
      return { ...course, present };
    }
    case 'clock-moved':
      return { ...course, clockMoves: [...course.clockMoves, { ...event.payload, ...stamp }] };
  }
}

/** Everything that came up during the walk, beside what it was begun with. */
export function turnedTo({ turned }: Course): Circumstance[] {
  return [...new Set(turned.flatMap(({ circumstances }) => circumstances))];
}
