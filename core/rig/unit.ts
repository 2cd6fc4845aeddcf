import type { Card } from '../catalogue';

/** A unit as the depot keeps it. Specification values are SI. */
export interface Unit {
  readonly id: string;
  readonly number: string;
  readonly title: string;
  readonly plate: string;
  readonly moduleId: string;
  /** Modules fitted to it for good: a liftgate, a crane. */
  readonly fitted?: readonly string[];
  /** Single figures of its card. */
  readonly specification: Readonly<Record<string, number>>;
  /** Axles, tanks, dates and charts of its card; nothing on a card that was kept before cards had them. */
  readonly card?: Card;
}
