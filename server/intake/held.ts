import type { Inspection, InspectionEvent } from '@nazar/core/inspection';
import type { DefectOnUnit } from '@nazar/core/repair';
import type { RefusalCode } from '@nazar/core/wire';
import type { Knex } from 'knex';
import type { Rules } from '../store/open-inspection';
import type { Person } from '../store/sessions';
import type { DepotUnit } from '../store/units';
import type { Standing } from './stand';

export interface Refused {
  readonly code: RefusalCode;
  /** Says more than the usual sentence, where there is more to say. */
  readonly detail?: string;
}

/** What an event is held against. */
export interface Held {
  readonly trx: Knex.Transaction;
  readonly person: Person;
  readonly inspection: Inspection;
  readonly units: readonly DepotUnit[];
  readonly defects: readonly DefectOnUnit[];
  /** Of every defect that this batch names and that is known already: its unit. */
  readonly unitOfDefect: ReadonlyMap<string, string>;
  readonly rules: Rules;
  /** Server time, milliseconds since 1970. */
  readonly arrivedAt: number;
  /** Worked out only when it is asked for. */
  readonly standing: () => Standing;
  /** The same with this event in it. */
  readonly standingWith: (event: InspectionEvent) => Standing;
}

export type Answer = Refused | undefined;

/** An event of this type. */
export type Of<T extends InspectionEvent['type']> = Extract<InspectionEvent, { type: T }>;

/** Most of a walk is answered at once; what must be looked up in the database is promised. */
export type Check<T extends InspectionEvent['type']> = (
  held: Held,
  event: Of<T>,
) => Answer | Promise<Answer>;

/** Of whichever types; the type of an event names only checks that understand it. */
export type AnyCheck = (held: Held, event: never) => Answer | Promise<Answer>;
