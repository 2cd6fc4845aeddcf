import { partAt, type Circumstance } from '../catalogue';
import type { Inspection } from '../inspection';
import type { Stop } from '../planning';
import type { Rig } from '../rig';
import type { StandingNow } from '../planner';
import { requirementOf, wantsOff, wantsRunning, type VehicleChange } from '../vehicle';
import type { Forbidden } from './forbidden';
import { airLevel, isRunning, type VehicleState } from './vehicle-state';

/** Why the rest of a plan is made again. `id` names the very event, so that it counts once. */
export type ReplanReason = { readonly id: string } & (
  | { readonly code: 'helper-came'; readonly name: string }
  | { readonly code: 'helper-left' }
  | { readonly code: 'turned'; readonly circumstances: readonly Circumstance[] }
  | { readonly code: 'dropped'; readonly number: string }
  /** The driver found something to stand otherwise than it was taken to stand. */
  | { readonly code: 'found'; readonly change: VehicleChange; readonly number?: string }
  | { readonly code: 'engine-early' }
  | { readonly code: 'engine-off-early' }
  | {
      readonly code: 'forbidden';
      readonly title: string;
      readonly count: number;
      /** Nothing was found there: it could not be looked at. */
      readonly unseen?: true;
    }
  | { readonly code: 'skipped'; readonly title: string }
);

export interface ReplanRequest {
  readonly inspection: Inspection;
  readonly rig: Rig;
  readonly state: VehicleState;
  readonly forbidden: ReadonlyMap<string, Forbidden>;
  /** The rest of the plan: stops with checks that are open, in its order. */
  readonly ahead: readonly Stop[];
  /** Ids of turns that the plan has taken already. */
  readonly taken: ReadonlySet<string>;
}

/** What has happened that the plan did not know of when it was made. Empty when it still holds. */
export function findReplanReasons(request: ReplanRequest): ReplanReason[] {
  const { inspection, rig, forbidden, taken } = request;
  const { course } = inspection;
  const turns: ReplanReason[] = [
    ...course.helpers.map(({ eventId, name }): ReplanReason => ({
      id: eventId,
      code: 'helper-came',
      name,
    })),
    ...course.helpers.flatMap(({ eventId, to }): ReplanReason[] =>
      to === undefined ? [] : [{ id: `${eventId} left`, code: 'helper-left' }],
    ),
    ...course.turned.map(({ eventId, circumstances }): ReplanReason => ({
      id: eventId,
      code: 'turned',
      circumstances,
    })),
    ...[...course.dropped].flatMap(([unitId, { eventId }]): ReplanReason[] => {
      const placed = rig.units.find(({ unit }) => unit.id === unitId);
      return placed ? [{ id: eventId, code: 'dropped', number: placed.unit.number }] : [];
    }),
    ...course.changes.flatMap(({ eventId, found, change, unitId }): ReplanReason[] => {
      if (!found) return [];
      const number = rig.units.find(({ unit }) => unit.id === unitId)?.unit.number;
      return [{ id: eventId, code: 'found', change, ...(number !== undefined && { number }) }];
    }),
    ...engineTurn(request),
    ...forbiddenTurns(forbidden),
  ];
  return turns.filter(({ id }) => !taken.has(id));
}

/** The engine runs, and what comes next wants it off; or it was shut down under what wants it on. */
function engineTurn({ inspection, state, ahead }: ReplanRequest): ReplanReason[] {
  const engine = inspection.course.changes.filter(
    ({ change }) => change === 'start' || change === 'shut-down',
  );
  const last = engine.at(-1);
  // To take the key out of an engine that never ran is no turn.
  if (!last || !engine.some(({ change }) => change === 'start')) return [];
  const next = ahead
    .flatMap(({ instances }) => instances)
    .filter(({ key }) => !inspection.answers.has(key))
    .map(({ check }) => requirementOf(check))
    .find((wanted) => wantsOff(wanted) || wantsRunning(wanted));
  if (!next) return [];
  const running = isRunning(state);
  if (running && wantsOff(next)) return [{ id: last.eventId, code: 'engine-early' }];
  // Shutting down is worth a new plan only where much still wants it running.
  if (running === false && wantsRunning(next) && last.change === 'shut-down')
    return [{ id: last.eventId, code: 'engine-off-early' }];
  return [];
}

function forbiddenTurns(forbidden: ReadonlyMap<string, Forbidden>): ReplanReason[] {
  const byFault = new Map<string, { title: string; count: number; unseen: boolean }>();
  for (const { because } of forbidden.values()) {
    const { instance, answer, state } = because;
    const id = `forbidden ${answer?.eventId ?? instance.key}`;
    const known = byFault.get(id);
    byFault.set(id, {
      title: partAt(instance.check, instance.place),
      count: (known?.count ?? 0) + 1,
      unseen: state === 'not-looked',
    });
  }
  return [...byFault].map(([id, { title, count, unseen }]) => ({
    id,
    code: 'forbidden',
    title,
    count,
    ...(unseen && { unseen }),
  }));
}

/** The state of a walk as the planner wants it: seconds from now instead of times of day. */
export function standingNow(
  state: VehicleState,
  zone: string | undefined,
  now: number,
): StandingNow {
  const until = (due: number | undefined) =>
    due === undefined ? 0 : due === Infinity ? Infinity : Math.max(0, (due - now) / 1000);
  return {
    zone,
    states: state.values,
    air: airLevel(state, now),
    oilIn: until(state.oilAt),
    coldIn: until(state.coldAt),
    settledIn: until(state.settledAt),
    warmIn: until(state.warmAt),
    cleanIn: until(state.cleanAt),
  };
}
