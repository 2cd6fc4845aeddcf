import type { Rig } from '../rig';
import { alongWay, layGround, SIDE_BY_SIDE } from './ground';
import type { Plan } from './plan-walk';
import { isStanding, requirementOf } from './requirement';
import { rankOf } from '../planning';
import { USUAL_PACE, type PaceSettings } from './settings';
import type { Outset } from './walk-through';

/**
 * Everything that is wrong with a plan, found by following it step by step with none of the planner's own workings:
 * a check left out or twice, a need that is not met, a test before its turn, a school broken, a clock not waited for.
 * Empty when it may be walked.
 */
export function findPlanFaults(
  plan: Plan,
  rig: Rig,
  outset: Outset,
  pace: PaceSettings = USUAL_PACE,
): string[] {
  const faults: string[] = [];
  const asked = rig.instances.map(({ key }) => key).sort();
  const planned = plan.stops.flatMap(({ instances }) => instances.map(({ key }) => key));
  if (JSON.stringify([...planned].sort()) !== JSON.stringify(asked))
    faults.push('not every check stands in it exactly once');
  const ground = layGround(rig, pace);
  const { length } = ground;
  const zones = new Map(rig.zones.map((zone) => [zone.key, zone]));
  let furthest = 0;
  const queue = plan.stops.flatMap(({ instances }) => instances);
  const rounds = new Map(rig.zones.map(({ key, round }) => [key, round]));
  let time = 0;
  let running = outset.running;
  let key = outset.running;
  let lamps = false;
  let released = false;
  let chocks = false;
  let powerTakeOff = false;
  let propped = false;
  let platform = false;
  let outriggers = false;
  let airAt = outset.airUp ? 0 : outset.running ? pace.airBuildUp : Infinity;
  let oilAt = Infinity;
  let coldAt = outset.running ? Infinity : outset.warm ? pace.coolDown : 0;
  let rank = 0;
  let tests = -1;
  const order = new Map(rig.instances.map((instance, index) => [instance.key, index]));
  let atSeat = false;
  for (const happening of plan.happenings) {
    if (happening.at < time - 1e-6) faults.push('something happens before it can');
    time = happening.at + happening.seconds;
    if (happening.kind === 'go') {
      const { from, to, metres } = happening;
      atSeat = to.level === 'cab';
      const outside = [from, to].every(({ level }) => level !== 'cab' && level !== 'aboard');
      const ahead = (((to.ring - from.ring) % length) + length) % length;
      const forward = plan.school.direction === 'counter-clockwise' ? ahead : length - ahead;
      if (
        outside &&
        ahead > 0 &&
        metres + 1e-6 < Math.min(forward, length) &&
        length - forward > pace.stepBack
      )
        faults.push(`it goes against the direction for ${metres.toFixed(1)} m`);
    } else if (happening.kind === 'change') {
      switch (happening.change) {
        case 'start':
          if (released) faults.push('the engine is started with the brake released');
          running = key = true;
          coldAt = Infinity;
          airAt = Math.min(airAt, time + pace.airBuildUp);
          break;
        case 'shut-down':
          running = powerTakeOff = false;
          oilAt = Infinity;
          coldAt = time + pace.coolDown;
          break;
        case 'key-on':
          key = true;
          break;
        case 'lamps-on':
          lamps = true;
          break;
        case 'release-brake':
          released = true;
          break;
        case 'set-brake':
          released = false;
          break;
        case 'chocks-in':
          chocks = true;
          break;
        case 'chocks-out':
          if (released) faults.push('chocks are taken away with the brake released');
          chocks = false;
          break;
        case 'power-take-off':
          if (!running) faults.push('the power take-off is engaged with the engine off');
          powerTakeOff = true;
          oilAt = time + (outset.freezing ? pace.oilWarmUpInFrost : pace.oilWarmUp);
          break;
        case 'prop':
          propped = true;
          break;
        case 'platform-down':
          platform = true;
          break;
        case 'outriggers':
          outriggers = true;
          break;
      }
      const seat = !['chocks-in', 'chocks-out', 'prop', 'platform-down', 'outriggers'].includes(
        happening.change,
      );
      if (seat && !atSeat) faults.push(`${happening.change} is done away from the seat`);
    } else if (happening.kind === 'check') {
      const began = happening.at + 1e-6;
      const until = time;
      // Several checks are one block; they leave the queue together.
      let spent = 0;
      while (queue.length > 0 && spent < happening.seconds - 1e-6) {
        const instance = queue.shift();
        if (!instance) break;
        spent += instance.check.seconds;
        const want = requirementOf(instance.check);
        const unmet = (holds: boolean, what: string) => {
          if (!holds) faults.push(`${instance.key} is done without ${what}`);
        };
        unmet(want.engine !== 'on' || running, 'the engine');
        unmet(want.engine !== 'off' || !running, 'the engine off');
        unmet(want.engine !== 'cold' || (!running && coldAt <= began), 'a cold engine');
        unmet(!want.key || key, 'the key on');
        unmet(!want.lamps || lamps, 'lamps on');
        unmet(want.brake !== 'set' || !released, 'the brake set');
        unmet(want.brake !== 'released' || released, 'the brake released');
        unmet(want.chocks !== 'in' || chocks, 'chocks');
        unmet(want.chocks !== 'out' || !chocks, 'chocks taken away');
        unmet(!want.powerTakeOff || powerTakeOff, 'the power take-off');
        unmet(!want.propped || propped, 'the prop');
        unmet(!want.platform || platform, 'the platform down');
        unmet(!want.outriggers || outriggers, 'outriggers');
        unmet(!want.air || airAt <= began, 'air');
        unmet(!want.oilWarm || oilAt <= began, 'warm oil');
        const round = rounds.get(instance.zoneKey);
        if (round === 'brakes') {
          const place = order.get(instance.key) ?? 0;
          if (place < tests) faults.push(`${instance.key} comes after a later test`);
          tests = place;
        }
        const own =
          round && isStanding(want) && instance.check.method !== 'clean'
            ? rankOf(round, plan.school.first)
            : undefined;
        if (own !== undefined && instance.check.method !== 'grease') {
          if (own < rank) faults.push(`${instance.key} breaks the order of the school`);
          rank = Math.max(rank, own);
          if (round === 'outside') {
            const zone = zones.get(instance.zoneKey);
            const here = zone ? alongWay(ground.spotOf(zone), ground, plan.school.direction) : 0;
            if (here < furthest - SIDE_BY_SIDE - 1e-6)
              faults.push(`${instance.key} is looked at after what lies further on`);
            furthest = Math.max(furthest, here);
          }
        }
      }
      time = until;
    }
  }
  return faults;
}
