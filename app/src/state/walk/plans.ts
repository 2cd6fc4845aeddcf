import { USUAL_ROUTE_STYLE, type KeptStop, type RouteStyle } from '@nazar/core/planning';
import type { ReplanReason } from '@nazar/core/walking';
import { useEffect } from 'react';
import { create } from 'zustand';
import { keepValue, readValue } from '../database';

const planOf = (inspectionId: string) => `plan ${inspectionId}`;

/** What the driver is told of a plan that was made again. */
export interface ToldReplan {
  readonly turns: readonly ReplanReason[];
  /** Stops that stand in another order than before. */
  readonly moved: number;
  /** Checks that were not asked before. */
  readonly added: number;
}

/** The order in which a walk is to be made, and the line that the feet make, metres of the rig's frame. */
export interface KeptPlan {
  readonly stops: readonly KeptStop[];
  readonly way: readonly { readonly x: number; readonly y: number }[];
  readonly routeStyle?: RouteStyle;
  /** Ids of what the plan has taken in since it was first made. */
  readonly taken?: readonly string[];
  /** Not put away by the driver yet. */
  readonly told?: ToldReplan;
}

/** The route style as it was kept before it had this name. */
interface FormerPlan {
  readonly school?: RouteStyle;
}

interface PlansState {
  /** Plans by inspection; null where a walk has none. */
  readonly plans: ReadonlyMap<string, KeptPlan | null>;
}

const usePlans = create<PlansState>(() => ({ plans: new Map() }));

/** Keeps the plan of a walk; it is no part of the record. */
export async function keepPlan(inspectionId: string, plan: KeptPlan): Promise<void> {
  const { stops, way, routeStyle, taken, told } = plan;
  const kept: KeptPlan = { stops, way, routeStyle, taken, told };
  await keepValue(planOf(inspectionId), kept);
  usePlans.setState(({ plans }) => ({ plans: new Map(plans).set(inspectionId, kept) }));
}

/** The kept plan of a walk: undefined while it is read, null where it has none. */
export function useKeptPlan(inspectionId: string): KeptPlan | undefined | null {
  const plan = usePlans(({ plans }) => plans.get(inspectionId));
  useEffect(() => {
    if (usePlans.getState().plans.has(inspectionId)) return;
    void readValue<KeptPlan & FormerPlan>(planOf(inspectionId)).then((read) => {
      const plan = read ? { ...read, routeStyle: read.routeStyle ?? read.school } : null;
      usePlans.setState(({ plans }) =>
        plans.has(inspectionId) ? { plans } : { plans: new Map(plans).set(inspectionId, plan) },
      );
    });
  }, [inspectionId]);
  return plan;
}

const ROUTE_STYLE = 'school';

/** How this person walked last. */
export async function readRouteStyle(): Promise<RouteStyle> {
  return { ...USUAL_ROUTE_STYLE, ...(await readValue<Partial<RouteStyle>>(ROUTE_STYLE)) };
}

export function keepRouteStyle(routeStyle: RouteStyle): Promise<void> {
  return keepValue(ROUTE_STYLE, routeStyle);
}

const orderOf = (unitIds: readonly string[], phase: string) =>
  `order ${phase} ${unitIds.join(' ')}`;

/** Keys of the checks of a rig in the order in which they were answered on its last walk from this phone. */
export async function readLastOrder(unitIds: readonly string[], phase: string): Promise<string[]> {
  return (await readValue<string[]>(orderOf(unitIds, phase))) ?? [];
}

export function keepLastOrder(
  unitIds: readonly string[],
  phase: string,
  keys: readonly string[],
): Promise<void> {
  return keepValue(orderOf(unitIds, phase), keys);
}
