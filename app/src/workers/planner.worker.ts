import type { Capability, Catalogue, Circumstance, Phase } from '@nazar/core/catalogue';
import { withDepotContent, type DepotContent } from '@nazar/core/depot-content';
import {
  planWalk,
  type Because,
  type Happening,
  type Plan,
  type StandingNow,
  type Totals,
} from '@nazar/core/planner';
import { clocksWanted, type KeptStop, type RouteStyle } from '@nazar/core/planning';
import { composeRig, type Unit } from '@nazar/core/rig';
import type { Clock } from '@nazar/core/vehicle';
import { Refusal, type Message } from '@nazar/core/words';
import { expose } from 'comlink';

export interface PlanQuestion {
  readonly units: readonly Unit[];
  readonly phase: Phase;
  readonly circumstances: readonly Circumstance[];
  /** What today's job needs: its function test is asked today. */
  readonly needed?: readonly Capability[];
  /** The modules that the units are made of. */
  readonly catalogue: Catalogue;
  /** What the depot changed of them. */
  readonly content: DepotContent;
  readonly routeStyle: RouteStyle;
  /** Somebody has started the engine already. */
  readonly running: boolean;
  /** Stops in an order that was set by hand. */
  readonly fixed: readonly string[];
  /** Keys of the checks in the order of the last walk. */
  readonly last?: readonly string[];
  /** Keys of checks that are not planned: answered, forbidden, left behind. */
  readonly done?: readonly string[];
  /** In the middle of a walk: how the vehicle stands. */
  readonly now?: StandingNow;
}

export interface PlannedStopLine extends KeptStop {
  /** Seconds since the beginning. */
  readonly at: number;
  readonly seconds: number;
  readonly because: Because;
  /** What the planner calls the first thing that is done here. */
  readonly block: string;
}

/** A plan as it comes out of the worker: without the rig, which the page has already. */
export interface PlanAnswer {
  readonly stops: readonly PlannedStopLine[];
  readonly happenings: readonly Happening[];
  readonly way: Plan['way'];
  readonly totals: Totals;
  readonly catalogueOrder: Totals;
  readonly carry: readonly string[];
  readonly helped: Plan['helped'];
  readonly helperless: readonly string[];
  /** Clocks that one of its checks waits for. */
  readonly clocks: readonly Clock[];
}

export type Planned =
  | { readonly ok: true; readonly plan: PlanAnswer }
  /** The content contradicts itself, or the units make no rig; a message that names where. */
  | { readonly ok: false; readonly says: Message };

export function plan(question: PlanQuestion): Planned {
  const { units, phase, circumstances, catalogue, content, routeStyle, running, fixed, last, now } =
    question;
  const done = question.done && new Set(question.done);
  try {
    const rig = composeRig({
      units,
      phase,
      circumstances,
      needed: question.needed,
      catalogue: withDepotContent(catalogue, content),
    });
    const made = planWalk({
      rig,
      phase,
      circumstances,
      routeStyle,
      running,
      fixed,
      last,
      done,
      now,
    });
    return {
      ok: true,
      plan: {
        stops: made.stops.map(({ key, zone, instances, at, seconds, because, block }) => ({
          key,
          zone: zone.key,
          checks: instances.map((instance) => instance.key),
          at,
          seconds,
          because,
          block,
        })),
        happenings: made.happenings,
        way: made.way,
        totals: made.totals,
        catalogueOrder: made.catalogueOrder,
        carry: made.carry,
        helped: made.helped,
        helperless: made.helperless.map(({ key }) => key),
        clocks: [...clocksWanted(made.stops.flatMap(({ instances }) => instances))],
      },
    };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, says: error.says };
    throw error;
  }
}

expose({ plan });
