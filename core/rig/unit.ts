/** A unit as the depot keeps it. Specification values are SI. */
export interface Unit {
  readonly id: string;
  readonly number: string;
  readonly title: string;
  readonly plate: string;
  readonly moduleId: string;
  /** Modules fitted to it for good: a liftgate, a crane. */
  readonly fitted?: readonly string[];
  readonly specification: Readonly<Record<string, number>>;
}
