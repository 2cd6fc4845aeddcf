import type { Phase } from '../catalogue';
import { judgePlan, parked, type Beginning, type JudgedAct, type Violation } from '../judge';
import type { Plan, StandingNow } from '../planner';
import { USUAL_PACE } from '../planning';
import type { Rig } from '../rig';

/** A plan as it is walked: the checks in the order that the driver sees, between them what is done to the vehicle. */
export function actsOf(plan: Pick<Plan, 'stops' | 'happenings'>): JudgedAct[] {
  const queue = plan.stops.flatMap(({ instances }) => instances);
  const acts: JudgedAct[] = [];
  // What is done in one go may stand in another order than its blocks; the time of the go is the same.
  let ahead = 0;
  for (const each of plan.happenings) {
    const { at, seconds } = each;
    switch (each.kind) {
      case 'go':
        acts.push({ act: 'go', at, seconds, to: each.to.level === 'cab' ? 'seat' : each.to.level });
        break;
      case 'change':
        acts.push({
          act: 'change',
          at,
          seconds,
          change: each.change,
          ...(each.unit !== undefined && { unit: each.unit }),
        });
        break;
      case 'wait':
        acts.push({ act: 'wait', at, seconds });
        break;
      case 'check': {
        let spent = ahead;
        while (spent < seconds - 1e-6) {
          const instance = queue.shift();
          if (!instance) break;
          acts.push({
            act: 'check',
            at: at + Math.max(0, spent),
            seconds: instance.check.seconds,
            key: instance.key,
          });
          spent += instance.check.seconds;
        }
        ahead = spent - seconds;
      }
    }
  }
  return acts;
}

/** How a walk that is under way stands, in the judge's own terms. */
export function beginningOf(rig: Rig, phase: Phase, now: StandingNow): Beginning {
  const rest = parked(rig, phase);
  const { states } = now;
  const zone = rig.zones.find(({ key }) => key === now.zone);
  const of = (name: string, unit: string) => states[`${name} ${unit}`];
  return {
    ...rest,
    engine: states.engine === undefined ? rest.engine : states.engine !== 'off',
    key: (states.key as Beginning['key'] | undefined) ?? rest.key,
    brakeReleased: states.brake === 'released',
    chocks: states.chocks === 'in',
    air: now.air,
    bayOpen: states.bay !== undefined && states.bay !== 'closed',
    powerTakeOff: states.powerTakeOff === 'in',
    atSeat: zone?.round === 'cab' || zone?.round === 'brakes',
    units: new Map(
      rig.units.map(({ unit: { id } }) => [
        id,
        {
          ...rest.units.get(id),
          ...(of('body', id) && { body: of('body', id) as 'down' }),
          ...(of('platform', id) && { platform: of('platform', id) as 'open' }),
          ...(of('outriggers', id) && { outriggers: of('outriggers', id) as 'in' }),
          ...(of('boom', id) && { boom: of('boom', id) as 'raised' }),
          ...(of('blade', id) && { blade: of('blade', id) as 'up' }),
          ...(of('tailgate', id) && { tailgate: of('tailgate', id) as 'released' }),
          ...(of('machinery', id) && { machinery: of('machinery', id) === 'running' }),
          ...(of('liftDoor', id) && { door: of('liftDoor', id) as 'open' }),
          ...(of('liftPower', id) && { power: of('liftPower', id) === 'on' }),
          ...(of('ownEngine', id) && { ownEngine: of('ownEngine', id) === 'running' }),
        },
      ]),
    ),
  };
}

/** Every breach of the fourteen rules in a plan. */
export function violationsOf(
  plan: Pick<Plan, 'stops' | 'happenings'>,
  rig: Rig,
  phase: Phase,
  more: { readonly now?: StandingNow; readonly done?: ReadonlySet<string> } = {},
): Violation[] {
  return judgePlan({
    rig,
    phase,
    acts: actsOf(plan),
    beginning: more.now ? beginningOf(rig, phase, more.now) : parked(rig, phase),
    buildUpSeconds: USUAL_PACE.airBuildUp,
    ...(more.done && { done: more.done }),
  });
}
