import { droppedUnits, isAsked, rigWithout } from '@nazar/core/inspection';
import { countMoved, type KeptStop, type Stop } from '@nazar/core/planning';
import { findReplanReasons, isRunning, standingNow, type ReplanReason } from '@nazar/core/walking';
import { useCallback, useEffect, useRef, useState } from 'react';
import { keepPlan, readRouteStyle, type KeptPlan, type Walk, useWalkSession } from '@/state/walk';
import { planInWorker } from '@/workers/plan-walk';
import type { Live } from './use-live';

interface Replanning {
  /** It is being made again at this moment. */
  readonly busy: boolean;
  /** This stop comes later. */
  readonly skip: (stop: Stop) => Promise<void>;
  readonly putAway: () => void;
}

/**
 * Makes the rest of the plan again when something has happened that it did not know of: what is done stays done, what must not be
 * done any more comes at the end with its reason, and the driver is told what changed and why.
 */
export function useReplanning(walk: Walk, live: Live, zone: string): Replanning {
  const { clock } = useWalkSession();
  const { inspection, rig, stops, plan } = walk;
  const [busy, setBusy] = useState(false);
  // A plan that cannot be made is not tried again until something else happens: the former order stays.
  const failed = useRef<string>(undefined);
  const ahead = stops.filter(({ instances }) =>
    instances.some(({ key }) => !inspection.answers.has(key)),
  );
  const turns = findReplanReasons({
    inspection,
    rig,
    state: live.state,
    forbidden: live.forbidden,
    ahead,
    taken: new Set(plan?.taken),
  });
  const name = turns.map(({ id }) => id).join(' ');
  useEffect(() => {
    // What happens meanwhile is taken once this one is there.
    if (name === '' || busy || failed.current === name) return;
    setBusy(true);
    replan(walk, live, turns, ahead, zone, clock.now())
      .catch(() => {
        failed.current = name;
      })
      .finally(() => setBusy(false));
    // The same turns are taken once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [name, busy]);
  const skip = useCallback(
    async (stop: Stop) => {
      const open = stop.instances.filter(({ key }) => !inspection.answers.has(key));
      if (open.length === 0) return;
      const keys = new Set(open.map(({ key }) => key));
      const rest = toKept(stops, (key) => !keys.has(key));
      const later: KeptStop = {
        key: fresh(stop.zone.key, rest),
        zone: stop.zone.key,
        checks: [...keys],
      };
      await keepPlan(inspection.id, {
        stops: [...rest, later],
        way: [],
        routeStyle: plan?.routeStyle,
        taken: plan?.taken,
        told: {
          turns: [{ id: later.key, code: 'skipped', title: stop.zone.title }],
          moved: 1,
          added: 0,
        },
      });
    },
    [inspection, stops, plan],
  );
  const putAway = useCallback(() => {
    if (plan) void keepPlan(inspection.id, { ...plan, told: undefined });
  }, [inspection.id, plan]);
  return { busy, skip, putAway };
}

/** Stops with those of their checks that a rule keeps; those with none are gone. */
function toKept(stops: readonly Stop[], keeps: (key: string) => boolean): KeptStop[] {
  return stops
    .map(({ key, zone, instances }) => ({
      key,
      zone: zone.key,
      checks: instances.map((instance) => instance.key).filter(keeps),
    }))
    .filter(({ checks }) => checks.length > 0);
}

/** A key for one more stay at a place. */
function fresh(zone: string, stops: readonly KeptStop[]): string {
  const taken = new Set(stops.map(({ key }) => key));
  for (let count = 2; ; count += 1) if (!taken.has(`${zone}#${count}`)) return `${zone}#${count}`;
}

async function replan(
  walk: Walk,
  live: Live,
  turns: readonly ReplanReason[],
  ahead: readonly Stop[],
  zone: string,
  now: number,
): Promise<void> {
  const { inspection, rig, stops, plan, catalogue, content } = walk;
  const { begun, answers, course } = inspection;
  if (!begun) return;
  const gone = droppedUnits(rig, course);
  const left = rigWithout(rig, gone);
  const asked = rig.instances.filter((each) => isAsked(each, left, gone));
  const open = new Set(
    asked.map(({ key }) => key).filter((key) => !answers.has(key) && !live.forbidden.has(key)),
  );
  const routeStyle = {
    ...(plan?.routeStyle ?? (await readRouteStyle())),
    helper: course.helper !== undefined,
  };
  const planned = await planInWorker({
    units: rig.units.map(({ unit }) => unit),
    phase: begun.phase,
    circumstances: begun.circumstances,
    needed: begun.job?.needs,
    catalogue,
    content,
    routeStyle,
    running: isRunning(live.state) ?? false,
    fixed: [],
    last: ahead.flatMap(({ instances }) => instances.map(({ key }) => key)),
    done: rig.instances.map(({ key }) => key).filter((key) => !open.has(key)),
    now: standingNow(live.state, zone, now),
  });
  const taken = [...(plan?.taken ?? []), ...turns.map(({ id }) => id)];
  const done = toKept(stops, (key) => answers.has(key));
  if (!planned.ok) {
    // The former order is still good; only the reason is told.
    const former = { stops: toKept(stops, () => true), way: plan?.way ?? [] };
    await keepPlan(inspection.id, {
      ...former,
      routeStyle,
      taken,
      told: { turns, moved: 0, added: 0 },
    });
    return;
  }
  const next = [...done];
  for (const stop of planned.plan.stops)
    next.push({ key: fresh(stop.zone, next), zone: stop.zone, checks: stop.checks });
  const barred = asked.filter(({ key }) => live.forbidden.has(key) && !answers.has(key));
  for (const zoneKey of new Set(barred.map((instance) => instance.zoneKey)))
    next.push({
      key: fresh(zoneKey, next),
      zone: zoneKey,
      checks: barred.filter((each) => each.zoneKey === zoneKey).map(({ key }) => key),
    });
  const before = ahead.flatMap(({ instances }) => instances.map(({ key }) => key));
  const known = new Set(before);
  const zonesOf = (list: readonly { readonly zone: string }[]) => list.map((stop) => stop.zone);
  const kept: KeptPlan = {
    stops: next,
    way: planned.plan.way,
    routeStyle,
    taken,
    told: {
      turns,
      moved: countMoved(
        ahead.map((stop) => stop.zone.key),
        zonesOf(planned.plan.stops),
      ),
      added: [...open].filter((key) => !known.has(key)).length,
    },
  };
  await keepPlan(inspection.id, kept);
}
