import type { Rig } from '../rig';
import { alongWay, layGround, SIDE_BY_SIDE } from './ground';
import type { Plan } from './plan-walk';
import {
  isStanding,
  nameOf,
  rankOf,
  requirementOf,
  USUAL_PACE,
  type PaceSettings,
  type Requirement,
  type VehicleChange,
} from '../planning';
import type { Outset } from './outset';

const OUTSIDE = new Set<VehicleChange>([
  'chocks-in',
  'chocks-out',
  'prop',
  'platform-down',
  'outriggers',
  'hood-open',
  'hood-closed',
]);

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
  const { now } = outset;
  let key = now?.key ?? outset.running;
  let lamps = now?.lamps ?? false;
  let released = now?.released ?? false;
  let chocks = now?.chocks ?? false;
  let powerTakeOff = now?.powerTakeOff ?? false;
  let propped = now?.propped ?? false;
  let platform = now?.platform ?? false;
  let outriggers = now?.outriggers ?? false;
  let airAt = now?.airIn ?? (outset.airUp ? 0 : outset.running ? pace.airBuildUp : Infinity);
  let oilAt = now?.oilIn ?? Infinity;
  let coldAt = now?.coldIn ?? (outset.running ? Infinity : outset.warm ? pace.coolDown : 0);
  let settledAt = now?.settledIn ?? (outset.running ? Infinity : outset.warm ? pace.oilSettles : 0);
  let warmAt = now?.warmIn ?? (outset.warm ? 0 : outset.running ? pace.engineWarmUp : Infinity);
  const cleanAt = now?.cleanIn ?? 0;
  let hood = now?.hood ?? false;
  const { engine: timing } = plan.school;
  let started = false;
  const hasStart = rig.instances.some(
    ({ zoneKey, check }) =>
      rig.zones.find((zone) => zone.key === zoneKey)?.round === 'cab' &&
      requirementOf(check).engine === 'on',
  );
  let rank = 0;
  // All that is done in one block with it is done with it.
  const securing = new Set(
    rig.instances
      .filter(({ check }) => check.does?.includes('set-brake'))
      .map(({ zoneKey, check }) => `${zoneKey} ${nameOf(requirementOf(check))}`),
  );
  let unsecured = securing.size > 0;
  const cold = !running && coldAt <= 0 && settledAt <= 0;
  const wantsCold = ({ engine, settled }: Requirement) => engine === 'cold' || settled === true;
  let tests = -1;
  let ahead = 0;
  const order = new Map(rig.instances.map((instance, index) => [instance.key, index]));
  const begun = zones.get(now?.zone ?? '');
  let atSeat = begun !== undefined && ground.spotOf(begun).level === 'cab';
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
          if (cold && queue.some(({ check }) => wantsCold(requirementOf(check))))
            faults.push('the engine is started before what must be cold is looked at');
          running = key = true;
          if (warmAt === Infinity || coldAt <= time) warmAt = time + pace.engineWarmUp;
          coldAt = settledAt = Infinity;
          airAt = Math.min(airAt, time + pace.airBuildUp);
          break;
        case 'shut-down':
          if (happening.at < cleanAt - 1e-6)
            faults.push('the engine is shut down while the exhaust is cleaned');
          if (warmAt > time) warmAt = Infinity;
          running = powerTakeOff = false;
          oilAt = Infinity;
          coldAt = time + pace.coolDown;
          settledAt = time + pace.oilSettles;
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
        case 'hood-open':
          hood = true;
          break;
        case 'hood-closed':
          hood = false;
          break;
        default:
          faults.push(`nobody plans ${happening.change}`);
      }
      const seat = !OUTSIDE.has(happening.change);
      if (seat && !atSeat) faults.push(`${happening.change} is done away from the seat`);
    } else if (happening.kind === 'check') {
      const began = happening.at + 1e-6;
      const until = time;
      // Several checks are one block; they leave the queue together.
      // What is done in one go may stand in another order than its blocks; the time of the go is the same.
      let spent = ahead;
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
        unmet(!want.engineWarm || warmAt <= began, 'a warm engine');
        unmet(!want.settled || settledAt <= began, 'oil that has run back');
        const round = rounds.get(instance.zoneKey);
        if (instance.check.does?.includes('chocks-in')) chocks = true;
        if (instance.check.does?.includes('set-brake')) unsecured = false;
        if (unsecured && round !== 'cab')
          faults.push(`${instance.key} comes before brake and chocks`);
        unmet(round !== 'engine-bay' || hood, 'the hood open');
        if (timing === 'early' && round === 'cab' && want.engine === 'on') started = true;
        if (timing === 'early' && round === 'outside' && isStanding(want) && !want.engine)
          if (!started && hasStart)
            faults.push(`${instance.key} comes before the engine is started`);
        if (timing === 'last' && !isStanding(want) && instance.check.method !== 'clean')
          started = true;
        if (round === 'brakes') {
          const place = order.get(instance.key) ?? 0;
          if (place < tests) faults.push(`${instance.key} comes after a later test`);
          tests = place;
        }
        const own =
          round &&
          !securing.has(`${instance.zoneKey} ${nameOf(want)}`) &&
          isStanding(want) &&
          instance.check.method !== 'clean' &&
          !(timing === 'early' && want.engine)
            ? rankOf(round, plan.school.first)
            : undefined;
        if (own !== undefined && instance.check.method !== 'grease') {
          if (timing === 'last' && started)
            faults.push(`${instance.key} comes after what wants the engine or the key`);
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
      ahead = spent - happening.seconds;
      time = until;
    }
  }
  return faults;
}
