import { PHASES, type Circumstance } from '@nazar/core/catalogue';
import { catalogue } from '@nazar/core/content';
import {
  cutIntoBlocks,
  nearestFirst,
  planWalk,
  searchExactly,
  searchOrder,
  chanceFrom,
  walkThrough,
  type Outset,
  type StandingNow,
  type Task,
} from '@nazar/core/planner';
import {
  DIRECTIONS,
  FIRSTS,
  USUAL_PACE,
  USUAL_ROUTE_STYLE,
  type RouteStyle,
  layoutOf,
} from '@nazar/core/planning';
import { composeRig, type Rig } from '@nazar/core/rig';
import { violationsOf } from '@nazar/core/testing';
import { rigs, unitByNumber } from '../server/demo/fleet';
import { heading, median, print } from './figures';
import { inBrowser } from './in-browser';

const WINTER: readonly Circumstance[] = ['dark', 'freezing'];
const SHOWN = [
  '218',
  '214 with trailer 931',
  '226, plow, wing and spreader',
  '241 with transporter 961 and digger 711',
  '331 with semi-trailer 951',
  '311',
  '341',
  '402',
  '801',
  '821',
];
const ROUNDS = 7;
const SMALL_WALKS = 120;
const SMALL = 6;
/** Plans and re-plans that the judge follows. */
const JUDGED = { plans: 2000, replans: 300 };

const rigOf = (numbers: readonly string[]) =>
  composeRig({
    units: numbers.map(unitByNumber),
    phase: 'pre-trip',
    circumstances: WINTER,
    catalogue,
  });

const outsetOf = (rig: Rig): Outset => ({
  phase: 'pre-trip',
  freezing: true,
  airUp: !rig.units.some(({ module }) => module.airBrakes),
  warm: false,
  running: false,
});

/** Time, way and quality of plans over the rigs of the demo world. */
export async function benchPlanning(): Promise<void> {
  heading('Planning');
  const chosen = rigs.filter(({ title }) => SHOWN.includes(title));
  for (const { title, numbers } of chosen) {
    const rig = rigOf(numbers);
    const times: number[] = [];
    let plan = planWalk({ rig, phase: 'pre-trip', circumstances: WINTER });
    for (let round = 0; round < ROUNDS; round += 1) {
      const began = performance.now();
      plan = planWalk({ rig, phase: 'pre-trip', circumstances: WINTER });
      times.push(performance.now() - began);
    }
    const { totals, catalogueOrder } = plan;
    const share = (one: number, other: number) => `${Math.round((100 * one) / other)} %`;
    print(`${title}, ${rig.instances.length} checks`, `${median(times).toFixed(0)} ms`);
    print(
      '  minutes · metres · climbs · starts · steps back',
      `${(totals.seconds / 60).toFixed(0)} · ${totals.metres.toFixed(0)} · ${totals.climbs} · ${totals.starts} · ${totals.reversals}`,
    );
    const nearest = walkNearest(rig);
    print(
      '  of always doing what is nearest: time, metres',
      `${share(totals.seconds, nearest.seconds)}, ${share(totals.metres, nearest.metres)}`,
    );
    print(
      '  of the order of the catalogue: time, metres',
      `${share(totals.seconds, catalogueOrder.seconds)}, ${share(totals.metres, catalogueOrder.metres)}`,
      'no more time, 75 % of the metres',
    );
  }
  benchExactness(chosen.map(({ numbers }) => rigOf(numbers)));
  benchSafety();
  const { time, longest } = await inBrowser('plan-in-worker.ts', 1, (page) =>
    page.evaluate<{ time: number; longest: number }>('planInWorker()'),
  );
  print('the largest rig in a worker of Chromium', `${time.toFixed(0)} ms`, 'under 500 ms');
  print('longest frame of the page meanwhile', `${longest.toFixed(0)} ms`, 'under 50 ms');
}

function walkNearest(rig: Rig) {
  const outset = outsetOf(rig);
  const task = cutIntoBlocks(rig, USUAL_ROUTE_STYLE, USUAL_PACE, outset);
  const question = { task, routeStyle: USUAL_ROUTE_STYLE, pace: USUAL_PACE, outset };
  return walkThrough(task, nearestFirst(question), USUAL_ROUTE_STYLE, USUAL_PACE, outset);
}

/** Small walks cut out of the rigs, against every order there is, with every early start of engine, pump and clock. */
function benchExactness(all: readonly Rig[]): void {
  const over: number[] = [];
  for (let round = 0; round < SMALL_WALKS; round += 1) {
    const rig = all[round % all.length];
    const outset = outsetOf(rig);
    const task = cut(cutIntoBlocks(rig, USUAL_ROUTE_STYLE, USUAL_PACE, outset), round);
    const question = { task, routeStyle: USUAL_ROUTE_STYLE, pace: USUAL_PACE, outset };
    const seconds = (order: readonly number[]) =>
      walkThrough(task, order, USUAL_ROUTE_STYLE, USUAL_PACE, outset).seconds;
    over.push(seconds(searchOrder(question, 1)) / seconds(searchExactly(question)) - 1);
  }
  const percent = (share: number) => `${(share * 100).toFixed(2)} %`;
  const equal = over.filter((share) => share <= 1e-9).length;
  print(`against every order, ${SMALL_WALKS} small walks: equal`, `${equal} of ${SMALL_WALKS}`);
  print('longer, in the median', percent(median(over)), 'within 3 %');
  print('longer, at worst', percent(Math.max(...over)), 'never over 15 %');
}

/** Random walks and random re-plans, each followed by the judge. */
export function benchSafety(): void {
  const chance = chanceFrom(20_261_126);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)];
  const some = (list: readonly Circumstance[]) => list.filter(() => chance() < 0.4);
  let broken = 0;
  const first = new Set<string>();
  const judge = (plan: Parameters<typeof violationsOf>[0], rig: Rig, ...rest: Rest) => {
    const found = violationsOf(plan, rig, ...rest);
    broken += found.length;
    for (const { rule, at, words } of found.slice(0, 1)) first.add(`${rule}: ${at}: ${words}`);
  };
  for (let count = 0; count < JUDGED.plans + JUDGED.replans; count += 1) {
    const phase = pick(PHASES);
    const circumstances = some(['dark', 'wet', 'freezing', 'passengers']);
    const rig = composeRig({
      units: pick(rigs).numbers.map(unitByNumber),
      phase,
      circumstances,
      catalogue,
    });
    const routeStyle: RouteStyle = {
      direction: pick(DIRECTIONS),
      first: pick(FIRSTS),
      engine: pick(['planned', 'last']),
      helper: chance() < 0.5,
    };
    const seed = 1 + Math.floor(chance() * 1000);
    const plan = planWalk({ rig, phase, circumstances, routeStyle, seed });
    if (count < JUDGED.plans) {
      judge(plan, rig, phase);
      continue;
    }
    // In the middle of it: some of it done, the engine idling, brake set and chocks in.
    const keys = plan.stops.flatMap(({ instances }) => instances.map(({ key }) => key));
    const done = new Set(keys.slice(0, Math.floor(chance() * keys.length)));
    const rest = { ...rig, instances: rig.instances.filter(({ key }) => !done.has(key)) };
    const now: StandingNow = {
      zone: pick(rig.zones).key,
      states: {
        engine: 'idling',
        key: 'on',
        brake: 'set',
        chocks: pick(['in', 'out']),
        ...(layoutOf(rig).slotOf('powerTakeOff') !== undefined && {
          powerTakeOff: pick(['in', 'out']),
        }),
      },
      air: Math.floor(chance() * 120),
      oilIn: 300,
      coldIn: Infinity,
      settledIn: Infinity,
      warmIn: 200,
      cleanIn: 0,
    };
    const again = planWalk({
      rig,
      phase,
      circumstances,
      routeStyle,
      seed,
      done,
      now,
      running: true,
    });
    judge(again, rest, phase, { now, done });
  }
  print(
    `breaches that the judge finds in ${JUDGED.plans} plans and ${JUDGED.replans} re-plans`,
    String(broken),
    '0',
  );
  for (const words of first) print('  ', words);
}

type Rest = [Parameters<typeof violationsOf>[2], Parameters<typeof violationsOf>[3]?];

/** Some blocks of a task, another set each round. */
function cut(whole: Task, round: number): Task {
  const checks = whole.blocks.filter(({ act }) => !act).length;
  const acts = [...whole.blocks.keys()].slice(checks);
  const kept = [
    ...new Set(Array.from({ length: SMALL }, (_, at) => (at * (5 + round) + round * 3) % checks)),
    ...acts,
  ].sort((a, b) => a - b);
  const place = new Map(kept.map((index, at) => [index, at]));
  return {
    ...whole,
    blocks: kept.map((index) => whole.blocks[index]),
    standing: kept.map((index) => whole.standing[index]),
    before: kept.map((index) => whole.before[index].flatMap((other) => place.get(other) ?? [])),
  };
}
