import type { Capability, Catalogue, Circumstance, Phase } from '@nazar/core/catalogue';
import { AS_SHIPPED } from '@nazar/core/depot-content';
import type { RouteStyle } from '@nazar/core/planning';
import type { Unit } from '@nazar/core/rig';
import { useEffect, useMemo, useState } from 'react';
import { useReference } from '@/state';
import { keepRouteStyle, readLastOrder, readRouteStyle } from '@/state/walk';
import type { Planned, PlanAnswer } from '@/workers/planner.worker';
import { usePlan } from './use-plan';

/** The plan of the walk that is about to begin, and what may be changed of it. */
export interface Planning {
  readonly routeStyle: RouteStyle | undefined;
  readonly setRouteStyle: (routeStyle: RouteStyle) => void;
  readonly running: boolean;
  readonly setRunning: (running: boolean) => void;
  readonly planned: Planned | undefined;
  /** The plan, where it could be made. */
  readonly plan: PlanAnswer | undefined;
  readonly busy: boolean;
  /** Seconds that an order by hand costs; undefined where there is none. */
  readonly price: number | undefined;
  readonly move: (index: number, by: -1 | 1) => void;
  readonly free: () => void;
}

const NONE: readonly string[] = [];

/** Plans in a worker whenever something changes that the plan depends on. */
export function usePlanning(
  units: readonly Unit[] | undefined,
  catalogue: Catalogue | undefined,
  phase: Phase,
  circumstances: readonly Circumstance[],
  needed: readonly Capability[],
): Planning {
  const content = useReference((state) => state.reference?.content) ?? AS_SHIPPED;
  const [routeStyle, setRouteStyle] = useState<RouteStyle>();
  const [last, setLast] = useState<readonly string[]>();
  const [running, setRunning] = useState(false);
  const [fixed, setFixed] = useState<readonly string[]>(NONE);
  const ids = units?.map(({ id }) => id).join(' ');
  useEffect(() => {
    void readRouteStyle().then(setRouteStyle);
  }, []);
  useEffect(() => {
    if (ids === undefined) return;
    void readLastOrder(ids.split(' '), phase).then(setLast);
  }, [ids, phase]);
  const question = useMemo(
    () =>
      routeStyle && units && catalogue && last
        ? {
            units,
            phase,
            circumstances,
            needed,
            catalogue,
            content,
            routeStyle,
            running,
            fixed,
            last,
          }
        : undefined,
    [units, phase, circumstances, needed, catalogue, content, routeStyle, running, fixed, last],
  );
  const unbound = useMemo(
    () => (question && fixed.length > 0 ? { ...question, fixed: NONE } : undefined),
    [question, fixed],
  );
  const { planned, busy } = usePlan(question);
  const { planned: best } = usePlan(unbound);
  const plan = planned?.ok ? planned.plan : undefined;
  return {
    routeStyle,
    setRouteStyle: (next) => {
      setRouteStyle(next);
      setFixed(NONE);
      void keepRouteStyle(next);
    },
    running,
    setRunning: (next) => {
      setRunning(next);
      setFixed(NONE);
    },
    planned,
    plan,
    busy: busy || question === undefined,
    price:
      plan && fixed.length > 0 && best?.ok
        ? Math.round(plan.totals.seconds - best.plan.totals.seconds)
        : undefined,
    move: (index, by) => {
      if (!plan) return;
      const order = plan.stops.map(({ block }) => block);
      const [block] = order.splice(index, 1);
      order.splice(index + by, 0, block);
      setFixed(order);
    },
    free: () => setFixed(NONE),
  };
}
