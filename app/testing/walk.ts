import { policiesFor } from '@nazar/core/grading';
import { assess, fold } from '@nazar/core/inspection';
import { orderWalk } from '@nazar/core/planning';
import type { Rig } from '@nazar/core/rig';
import { begunOf, makeLog, makeRig, walkId } from '@nazar/core/testing';
import type { Walk } from '@/state';

/** A walk as a screen gets it, worked out from a log that the test writes. */
export function walkOf(
  fill: (log: ReturnType<typeof makeLog>, rig: Rig) => void = () => undefined,
  rig: Rig = makeRig(),
): Walk {
  const log = makeLog();
  log.add('begun', begunOf(rig));
  fill(log, rig);
  const inspection = fold(walkId, log.events);
  const policiesOf = () => policiesFor(['two-step']);
  const request = { inspection, rig, policiesOf, known: [], unread: [] };
  return {
    inspection,
    rig,
    stops: orderWalk(rig),
    stale: false,
    plan: null,
    way: undefined,
    assessment: assess(request),
    request,
    policiesOf,
  };
}
