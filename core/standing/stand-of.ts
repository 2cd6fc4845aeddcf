import type { Catalogue } from '../catalogue';
import type { Policy, PolicyChoice } from '../grading';
import { AS_SHIPPED, withDepotContent, type DepotContent } from '../depot-content';
import {
  assess,
  policiesOfWalk,
  type AssessRequest,
  type Assessment,
  type BegunPayload,
  type Inspection,
} from '../inspection';
import { openOnUnits, type OpenOnUnits, type DefectOnUnit } from '../repair';
import { composeRig, type Rig, type Unit } from '../rig';

/** What is known beside the log: of the depot, its units and what is open on them. */
export interface WalkReference {
  readonly catalogue: Catalogue;
  /** Those of the walk among them; others are not looked at. */
  readonly units: readonly Unit[];
  /** What the depot changed of the catalogue, in the version that the walk was begun by; as shipped where nothing is given. */
  readonly content?: DepotContent;
  /** What the depot grades by now; undefined where it is not known. */
  readonly choice: PolicyChoice | undefined;
  /** Policies that the organisation brought itself. */
  readonly own: readonly Policy[];
  readonly defects: readonly DefectOnUnit[];
}

/** How a walk stands. */
export interface Standing extends OpenOnUnits {
  readonly inspection: Inspection;
  readonly rig: Rig;
  /** Of each unit by its id. */
  readonly policiesOf: (unitId: string) => readonly Policy[];
  readonly assessment: Assessment;
  /** What the assessment was made from. */
  readonly request: AssessRequest;
}

/** What the beginning of a walk says of its rig. */
export type BegunRig = Pick<BegunPayload, 'unitIds' | 'phase' | 'circumstances' | 'job'>;

/**
 * The rig that a walk goes round, of the cards as they are now.
 * @throws {RangeError} when a unit of it is not known or named twice, or when the units make no rig
 */
export function rigOfWalk(
  begun: BegunRig,
  {
    catalogue,
    units,
    content = AS_SHIPPED,
  }: Pick<WalkReference, 'catalogue' | 'units' | 'content'>,
): Rig {
  const own = begun.unitIds.map((id) => {
    const unit = units.find((each) => each.id === id);
    if (!unit) throw new RangeError(`Unit ${id} is not known here.`);
    return unit;
  });
  return composeRig({
    units: own,
    phase: begun.phase,
    circumstances: begun.circumstances,
    needed: begun.job?.needs,
    catalogue: withDepotContent(catalogue, content),
  });
}

/**
 * How a walk stands: the one judgement of phone, second phone, server, demo and projections, from the same log and the same
 * reference.
 * @param rig the one that {@link rigOfWalk} makes of them, where it is at hand
 * @throws {RangeError} before the walk is begun, and as {@link rigOfWalk}
 */
export function standOf(inspection: Inspection, reference: WalkReference, rig?: Rig): Standing {
  const { begun } = inspection;
  if (!begun) throw new RangeError('Nothing stands before the inspection is begun.');
  rig ??= rigOfWalk(begun, reference);
  const policiesOf = policiesOfWalk(begun, rig, reference.choice, reference.own);
  const bearing = openOnUnits(begun.unitIds, inspection.id, reference.defects);
  const request: AssessRequest = { inspection, rig, policiesOf, ...bearing };
  return { inspection, rig, policiesOf, ...bearing, assessment: assess(request), request };
}
