import { catalogue, type Circumstance } from '@nazar/core/catalogue';
import {
  cutIntoBlocks,
  planWalk,
  searchExactly,
  searchOrder,
  walkThrough,
  type Outset,
  type Task,
} from '@nazar/core/planner';
import { USUAL_SCHOOL, USUAL_PACE } from '@nazar/core/planning';
import { composeRig, type Rig } from '@nazar/core/rig';
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
const SMALL_WALKS = 60;
const SMALL = 8;

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
    print(
      '  of the order of the catalogue: time, metres',
      `${share(totals.seconds, catalogueOrder.seconds)}, ${share(totals.metres, catalogueOrder.metres)}`,
      'no more time, 75 % of the metres',
    );
  }
  benchExactness(chosen.map(({ numbers }) => rigOf(numbers)));
  const { time, longest } = await inBrowser('plan-in-worker.ts', 1, (page) =>
    page.evaluate<{ time: number; longest: number }>('planInWorker()'),
  );
  print('the largest rig in a worker of Chromium', `${time.toFixed(0)} ms`, 'under 500 ms');
  print('longest frame of the page meanwhile', `${longest.toFixed(0)} ms`, 'under 50 ms');
}

/** Small walks cut out of the rigs, against every order there is. */
function benchExactness(all: readonly Rig[]): void {
  let equal = 0;
  let worst = 1;
  for (let round = 0; round < SMALL_WALKS; round += 1) {
    const rig = all[round % all.length];
    const task = cut(cutIntoBlocks(rig, USUAL_SCHOOL, USUAL_PACE), round);
    const question = { task, school: USUAL_SCHOOL, pace: USUAL_PACE, outset: outsetOf(rig) };
    const seconds = (order: readonly number[]) =>
      walkThrough(task, order, USUAL_SCHOOL, USUAL_PACE, question.outset).seconds;
    const ratio = seconds(searchOrder(question, 1)) / seconds(searchExactly(question));
    if (ratio <= 1 + 1e-9) equal += 1;
    worst = Math.max(worst, ratio);
  }
  print(
    `against every order, ${SMALL_WALKS} walks of ${SMALL} blocks: equal`,
    `${equal} of ${SMALL_WALKS}`,
    'nine of ten',
  );
  print('the worst of them', `${((worst - 1) * 100).toFixed(2)} % longer`, 'within 3 %');
}

/** Some blocks of a task, another set each round. */
function cut(whole: Task, round: number): Task {
  const size = whole.blocks.length;
  const kept = [
    ...new Set(Array.from({ length: SMALL }, (_, at) => (at * (5 + round) + round * 3) % size)),
  ].sort((a, b) => a - b);
  const place = new Map(kept.map((index, at) => [index, at]));
  return {
    ...whole,
    blocks: kept.map((index) => whole.blocks[index]),
    before: kept.map((index) => whole.before[index].flatMap((other) => place.get(other) ?? [])),
  };
}
