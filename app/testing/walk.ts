import { catalogue } from '@nazar/core/content';
import { AS_SHIPPED } from '@nazar/core/depot-content';
import { fold } from '@nazar/core/inspection';
import { orderWalk } from '@nazar/core/planning';
import type { Rig } from '@nazar/core/rig';
import { standOf } from '@nazar/core/standing';
import { begunOf, makeLog, makeRig, walkId } from '@nazar/core/testing';
import type { Walk } from '@/state/walk';

/** A walk as a screen gets it, worked out from a log that the test writes. */
export function walkOf(
  fill: (log: ReturnType<typeof makeLog>, rig: Rig) => void = () => undefined,
  rig: Rig = makeRig(),
): Walk {
  const log = makeLog();
  log.add('begun', begunOf(rig));
  fill(log, rig);
  const inspection = fold(walkId, log.events);
  const standing = standOf(
    inspection,
    {
      catalogue,
      units: rig.units.map(({ unit }) => unit),
      choice: { usual: 'two-step', byClass: {} },
      own: [],
      defects: [],
    },
    rig,
  );
  return {
    ...standing,
    stops: orderWalk(rig),
    stale: false,
    plan: null,
    way: undefined,
    catalogue,
    content: AS_SHIPPED,
  };
}
