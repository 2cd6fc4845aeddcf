import { catalogue } from '@nazar/core/catalogue';
import { AS_SHIPPED, withHouse } from '@nazar/core/house';
import type { Policy } from '@nazar/core/grading';
import {
  assess,
  droppedUnits,
  fold,
  isAsked,
  policiesOfWalk,
  rigWithout,
  withFault,
  type Assessment,
  type AssessRequest,
  type FaultedPayload,
  type Inspection,
} from '@nazar/core/inspection';
import { followPlan, orderWalk, type Stop } from '@nazar/core/planning';
import { composeRig, type Rig } from '@nazar/core/rig';
import { useEffect, useMemo, useState } from 'react';
import { useFormerContents } from './content';
import { useLog } from './log';
import { useKeptPlan, type KeptPlan } from './plans';
import { knownDefects, unreadRepairs, useReference } from './reference';
import { timeNow } from './time-now';

/** Everything a screen shows of one walk, worked out from its log. */
export interface Walk {
  readonly inspection: Inspection;
  readonly rig: Rig;
  readonly stops: readonly Stop[];
  /** The plan that it was begun by does not know the rig as it is now; what it lacks comes last. */
  readonly stale: boolean;
  /** What is kept of its plan; null where it has none. */
  readonly plan: KeptPlan | null;
  /** The line that the feet make, where the walk was planned. */
  readonly way: KeptPlan['way'] | undefined;
  readonly assessment: Assessment;
  /** What the assessment was made from. */
  readonly request: AssessRequest;
  readonly policiesOf: (unitId: string) => readonly Policy[];
}

/** The walk as it would stand with this fault. */
export function previewFault(walk: Walk, fault: FaultedPayload): Assessment {
  return assess({ ...walk.request, inspection: withFault(walk.inspection, fault, timeNow()) });
}

/**
 * The walk with this id, anew after each entry.
 * @returns undefined while it is read, null when it is not on this device or its units are unknown here
 */
export function useWalk(inspectionId: string): Walk | undefined | null {
  const events = useLog((state) => state.logs.get(inspectionId));
  const reference = useReference((state) => state.reference);
  const [looked, setLooked] = useState(false);
  useEffect(() => {
    void useLog
      .getState()
      .load(inspectionId)
      .then(() => setLooked(true));
  }, [inspectionId]);
  const inspection = useMemo(() => events && fold(inspectionId, events), [events, inspectionId]);
  const begun = inspection?.begun;
  const eventId = begun?.eventId;
  const circumstances = begun?.circumstances.join(' ');
  const dropped = inspection ? [...inspection.course.dropped.keys()].join(' ') : '';
  const hasReference = reference !== undefined;
  const kept = useKeptPlan(inspectionId);
  const version = begun?.houseVersion ?? 0;
  const present = reference?.content?.version ?? 0;
  const former = useFormerContents(({ byVersion }) => byVersion.get(version));
  useEffect(() => {
    if (version !== 0 && version !== present) void useFormerContents.getState().load(version);
  }, [version, present]);
  const content = version === 0 ? AS_SHIPPED : version === present ? reference?.content : former;
  const hasContent = content !== undefined;
  const made = useMemo(() => {
    // Until the rules are here by which it was begun, nobody can say what is asked.
    if (!begun || !reference || !content || kept === undefined) return undefined;
    const units = begun.unitIds.flatMap((id) => reference.units.filter((unit) => unit.id === id));
    if (units.length !== begun.unitIds.length) return undefined;
    const rig = composeRig({
      units,
      phase: begun.phase,
      circumstances: begun.circumstances,
      catalogue: withHouse(catalogue, content),
    });
    // Nobody is sent to a unit that stays behind.
    const gone = droppedUnits(rig, inspection.course);
    const left = rigWithout(rig, gone);
    const asked =
      gone.size === 0
        ? rig
        : { ...rig, instances: rig.instances.filter((each) => isAsked(each, left, gone)) };
    return kept
      ? { rig, plan: kept, way: kept.way, ...followPlan(asked, kept.stops) }
      : { rig, plan: kept, way: undefined, stops: orderWalk(asked), stale: false };
    // A walk's units do not change once it is begun; what is asked may, when it begins to rain.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [eventId, circumstances, dropped, hasReference, hasContent, kept]);
  const choice = reference?.depot.choice;
  const own = reference?.ownPolicies;
  const policiesOf = useMemo(
    () => begun && made && policiesOfWalk(begun, made.rig, choice, own),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [eventId, made, choice, own],
  );
  return useMemo(() => {
    if (!inspection || !made || !begun) return looked && events ? null : undefined;
    if (!policiesOf) return undefined;
    const request: AssessRequest = {
      inspection,
      rig: made.rig,
      policiesOf,
      known: knownDefects(reference, begun.unitIds, inspection.id),
      unread: unreadRepairs(reference, begun.unitIds),
    };
    return { inspection, assessment: assess(request), request, policiesOf, ...made };
  }, [inspection, made, begun, reference, looked, events, policiesOf]);
}
