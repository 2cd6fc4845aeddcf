import type { Catalogue } from '@nazar/core/catalogue';
import type { DepotContent } from '@nazar/core/depot-content';
import {
  assess,
  droppedUnits,
  fold,
  isAsked,
  rigWithout,
  withFault,
  type Assessment,
  type FaultedPayload,
} from '@nazar/core/inspection';
import { followPlan, orderWalk, type Stop } from '@nazar/core/planning';
import { rigOfWalk, standOf, type Standing } from '@nazar/core/standing';
import { useEffect, useMemo, useState } from 'react';
import { useModulesOf } from '../catalogue';
import { useContentOf } from '../content';
import { useKeptPlan, type KeptPlan } from './plans';
import { useWalkSession } from './session';

/** Everything a screen shows of one walk, worked out from its log. */
export interface Walk extends Standing {
  /** The modules that it is made of, of the version that it was begun by. */
  readonly catalogue: Catalogue;
  /** What the depot had changed of them. */
  readonly content: DepotContent;
  readonly stops: readonly Stop[];
  /** The plan that it was begun by does not know the rig as it is now; what it lacks comes last. */
  readonly stale: boolean;
  /** What is kept of its plan; null where it has none. */
  readonly plan: KeptPlan | null;
  /** The line that the feet make, where the walk was planned. */
  readonly way: KeptPlan['way'] | undefined;
}

/**
 * The walk as it would stand with this fault.
 * @param now milliseconds since 1970
 */
export function previewFault(walk: Walk, fault: FaultedPayload, now: number): Assessment {
  return assess({ ...walk.request, inspection: withFault(walk.inspection, fault, now) });
}

/**
 * The walk with this id, anew after each entry.
 * @returns undefined while it is read, null when it is not on this device or its units are unknown here
 */
export function useWalk(inspectionId: string): Walk | undefined | null {
  const { log, reference: depot } = useWalkSession();
  const events = log.use((state) => state.logs.get(inspectionId));
  const reference = depot.use((state) => state.reference);
  const [looked, setLooked] = useState(false);
  useEffect(() => {
    void log.use
      .getState()
      .load(inspectionId)
      .then(() => setLooked(true));
  }, [log, inspectionId]);
  const inspection = useMemo(() => events && fold(inspectionId, events), [events, inspectionId]);
  const begun = inspection?.begun;
  const eventId = begun?.eventId;
  const circumstances = begun?.circumstances.join(' ');
  const dropped = inspection ? [...inspection.course.dropped.keys()].join(' ') : '';
  const hasReference = reference !== undefined;
  const kept = useKeptPlan(inspectionId);
  const content = useContentOf(begun?.houseVersion);
  const hasContent = content !== undefined;
  const walked = useMemo(
    () => reference?.units.filter(({ id }) => begun?.unitIds.includes(id)) ?? [],
    [reference, begun],
  );
  const catalogue = useModulesOf(walked, begun?.catalogueVersion);
  // A card that has changed reaches the walk; one that has not, not again with every answer of the server.
  const cards = useMemo(() => JSON.stringify(walked), [walked]);
  const made = useMemo(() => {
    // Until the rules are here by which it was begun, nobody can say what is asked.
    if (!begun || !reference || !content || !catalogue || kept === undefined) return undefined;
    const { units } = reference;
    if (begun.unitIds.some((unitId) => !units.some(({ id }) => id === unitId))) return undefined;
    const rig = rigOfWalk(begun, { catalogue, units, content });
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
  }, [eventId, circumstances, dropped, cards, hasReference, hasContent, catalogue, kept]);
  return useMemo(() => {
    if (!inspection || !made || !reference || !catalogue || !content)
      return looked && events ? null : undefined;
    const { ownPolicies, units, defects } = reference;
    const standing = standOf(
      inspection,
      { catalogue, units, content, choice: reference.depot.choice, own: ownPolicies, defects },
      made.rig,
    );
    return { ...standing, ...made, catalogue, content };
  }, [inspection, made, content, catalogue, reference, looked, events]);
}
