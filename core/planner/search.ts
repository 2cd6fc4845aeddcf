import { ROUNDS } from '../catalogue';
import type { Task } from './blocks';
import { alongWay } from './ground';
import { rankOf, type PaceSettings, type RouteStyle } from '../planning';
import { wantsOff, wantsRunning } from '../vehicle';
import { Refusal } from '../words';
import { findConflict } from './conflict';
import type { Outset } from './outset';
import { modelOf, type Model } from './walk-through';

/** A stream of numbers between 0 and 1 that is the same for the same seed. */
export function chanceFrom(seed: number): () => number {
  let state = seed >>> 0 || 1;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 4_294_967_296;
  };
}

export interface Question {
  readonly task: Task;
  readonly routeStyle: RouteStyle;
  readonly pace: PaceSettings;
  readonly outset: Outset;
}

/** Steps of the model that the search may spend; more blocks get fewer orders tried, not more time. */
const STEPS = { least: 120_000, perBlock: 7_000, most: 900_000 };

/** Blocks of a walk that is small. */
const SMALL = 12;

/** Among orders of nearly the same time the one that is closest to the last walk is worth more than the rest. */
const NEARLY = 1.02;

/**
 * A good order: built by always doing next what costs least, from several beginnings, then mended by moving single
 * blocks and runs of blocks for as long as the steps last. The same for the same seed.
 * @param last keys of the checks in the order of the last walk
 * @throws {RangeError} when rules contradict each other, naming them
 */
export function searchOrder(
  question: Question,
  seed: number,
  last: readonly string[] = [],
): number[] {
  const { task } = question;
  const size = task.blocks.length;
  if (size <= 1) return task.blocks.map((_, index) => index);
  const isBefore = matrixOf(task);
  const model = modelOf(task, question.routeStyle, question.pace, question.outset);
  const chance = chanceFrom(seed);
  const budget = Math.min(STEPS.most, STEPS.least + size * STEPS.perBlock);
  const beginnings = [
    ...sweeps(question).map((wished) => inOrder(task, wished, isBefore)),
    ...greedy(task, model, isBefore),
  ];
  const tries = Math.floor(budget / size);
  const names = [...new Set(task.blocks.map(({ zone }) => zone.key))];
  const zones = Int32Array.from(task.blocks, ({ zone }) => names.indexOf(zone.key));
  let best = beginnings[0];
  let bestCost = Infinity;
  // A small walk is mended from many beginnings: a valley that it does not get out of is found from another side.
  for (let more = size <= SMALL ? 12 : 0; more > 0; more -= 1)
    beginnings.push(inOrder(task, shuffled(size, chance), isBefore));
  const begun = beginnings
    .map((order) => ({ order, cost: model.walk(order) }))
    .sort((one, other) => one.cost - other.cost)
    .slice(0, size <= SMALL ? beginnings.length : 3);
  for (const each of begun) {
    const mended = mend(
      model,
      zones,
      each.order,
      each.cost,
      isBefore,
      chance,
      tries / begun.length,
    );
    if (mended.cost < bestCost) ({ order: best, cost: bestCost } = mended);
  }
  if (last.length === 0) return best;
  const former = inOrder(task, asLast(task, model, last), isBefore);
  const close = mend(
    model,
    zones,
    former,
    model.walk(former),
    isBefore,
    chance,
    tries / begun.length,
    bestCost * NEARLY,
  );
  return close.cost <= bestCost * NEARLY ? close.order : best;
}

function shuffled(size: number, chance: () => number): number[] {
  const lots = Array.from({ length: size }, chance);
  return [...lots.keys()].sort((one, other) => lots[one] - lots[other]);
}

/** The order of the last walk; what it did not have goes where it costs least. */
function asLast({ blocks }: Task, model: Model, last: readonly string[]): number[] {
  const places = new Map(last.map((key, index) => [key, index]));
  const placeOf = (index: number) =>
    Math.min(...blocks[index].instances.map(({ key }) => places.get(key) ?? Infinity));
  const order = [...blocks.keys()]
    .filter((index) => placeOf(index) < Infinity)
    .sort((one, other) => placeOf(one) - placeOf(other));
  for (const index of blocks.keys()) {
    if (placeOf(index) < Infinity) continue;
    let least = Infinity;
    let best = order.length;
    for (let at = 0; at <= order.length; at += 1) {
      const price = model.walk(order.toSpliced(at, 0, index));
      if (price < least) [least, best] = [price, at];
    }
    order.splice(best, 0, index);
  }
  return order;
}

type Before = readonly Uint8Array[];

function matrixOf({ blocks, before }: Task): Before {
  const matrix = blocks.map(() => new Uint8Array(blocks.length));
  before.forEach((list, index) => {
    for (const other of list) matrix[other][index] = 1;
  });
  return matrix;
}

/**
 * Ways that a person would go: round the vehicle in the direction of the route style, then engine bay, cab and tests; once with
 * everything at a stop done at that stop, once with what wants lamps or the engine left for a second round.
 */
function sweeps({ task, routeStyle }: Question): number[][] {
  const { blocks, ground } = task;
  const along = (index: number) => alongWay(blocks[index].spot, ground, routeStyle.direction);
  const first = blocks.map(({ zone }) => rankOf(zone.round, routeStyle.first) ?? ROUNDS.length);
  const standing = task.standing.map((each) => (each ? 0 : 1));
  const indices = [...blocks.keys()];
  const by = (...keys: readonly ((index: number) => number)[]) =>
    [...indices].sort((one, other) => {
      for (const key of keys) {
        const difference = key(one) - key(other);
        if (difference !== 0) return difference;
      }
      return one - other;
    });
  const rank = (index: number) => first[index];
  return [by(rank, along), by((index) => standing[index], rank, along)];
}

/** A wished order, as far as what must come first allows. */
function inOrder(task: Task, wished: readonly number[], isBefore: Before): number[] {
  const waiting = [...wished];
  const order: number[] = [];
  while (waiting.length > 0) {
    const at = waiting.findIndex((index) => waiting.every((other) => !isBefore[other][index]));
    if (at < 0) throw new Refusal(findConflict(task, waiting));
    order.push(...waiting.splice(at, 1));
  }
  return order;
}

/** The order of whoever always does next what is nearest in time: what a plan must be better than. */
export function nearestFirst({ task, routeStyle, pace, outset }: Question): number[] {
  return greedy(task, modelOf(task, routeStyle, pace, outset), matrixOf(task))[0];
}

/** Always the block next that costs least from here; once as it comes, once with what starts a clock brought forward. */
function greedy({ blocks }: Task, model: Model, isBefore: Before): number[][] {
  return [0, 1, 2].map((bias) => {
    const waiting = new Set(blocks.keys());
    const order: number[] = [];
    while (waiting.size > 0) {
      let chosen = -1;
      let least = Infinity;
      for (const index of waiting) {
        let free = true;
        for (const other of waiting)
          if (isBefore[other][index]) {
            free = false;
            break;
          }
        if (!free) continue;
        const { requirement, seconds } = blocks[index];
        const bonus =
          bias === 1 && wantsRunning(requirement)
            ? -40
            : bias === 2 && wantsOff(requirement)
              ? -60
              : 0;
        order.push(index);
        const price = model.walk(order) - seconds + bonus;
        order.pop();
        if (price < least) {
          least = price;
          chosen = index;
        }
      }
      order.push(chosen);
      waiting.delete(chosen);
    }
    return order;
  });
}

/**
 * Moves runs of a few blocks, and turns runs round, while that pays; a worse order is taken now and then at first.
 * @param enough ends it as soon as an order costs no more, and takes no worse one on the way: as little as possible is moved
 */
function mend(
  model: Model,
  zones: Int32Array,
  begun: readonly number[],
  begunCost: number,
  isBefore: Before,
  chance: () => number,
  tries: number,
  enough?: number,
): { order: number[]; cost: number } {
  const size = begun.length;
  const order = Int32Array.from(begun);
  const next = new Int32Array(size);
  let present = begunCost;
  const best = Int32Array.from(begun);
  let bestCost = present;
  for (let round = 0; round < tries && bestCost > (enough ?? -1); round += 1) {
    const heat = enough ? 0 : 12 * (1 - round / tries) ** 3;
    const joins = chance() < 0.3;
    const length = joins ? 1 : 1 + Math.floor(chance() ** 2 * Math.min(6, size - 1));
    const from = Math.floor(chance() * (size - length + 1));
    const to = joins
      ? besideSame(zones, order, from, chance)
      : Math.floor(chance() * (size - length + 1));
    const turned = length > 1 && chance() < 0.2;
    if (to === from && !turned) continue;
    if (!mayMove(order, isBefore, from, length, to, turned)) continue;
    move(order, next, from, length, to, turned);
    const price = model.walk(next);
    if (price < present || chance() < Math.exp((present - price) / Math.max(heat, 1e-6))) {
      order.set(next);
      present = price;
      if (price < bestCost - 1e-9) {
        best.set(next);
        bestCost = price;
      }
    }
  }
  return { order: [...best], cost: bestCost };
}

/** Where a block would stand next to another one of its zone. */
function besideSame(
  zones: Int32Array,
  order: Int32Array,
  from: number,
  chance: () => number,
): number {
  const zone = zones[order[from]];
  const size = order.length;
  const begin = Math.floor(chance() * size);
  for (let step = 0; step < size; step += 1) {
    const at = (begin + step) % size;
    if (at !== from && zones[order[at]] === zone) {
      const after = at < from ? at + 1 : at;
      return Math.min(after, size - 1);
    }
  }
  return from;
}

/** Writes the order with a run taken out and set in again before what is then at `to`. */
function move(
  order: Int32Array,
  next: Int32Array,
  from: number,
  length: number,
  to: number,
  turned: boolean,
): void {
  const rest = to < from ? to : to + length;
  next.set(order);
  // What the run jumps over moves up or down by its length.
  if (to < from) next.copyWithin(to + length, to, from);
  else next.copyWithin(from, from + length, rest);
  for (let index = 0; index < length; index += 1)
    next[to + index] = order[turned ? from + length - 1 - index : from + index];
}

/** Whether nothing comes before what must precede it, once the run has moved. */
function mayMove(
  order: Int32Array,
  isBefore: Before,
  from: number,
  length: number,
  to: number,
  turned: boolean,
): boolean {
  const end = from + length;
  if (to < from) {
    for (let over = to; over < from; over += 1)
      for (let one = from; one < end; one += 1) if (isBefore[order[over]][order[one]]) return false;
  } else {
    for (let over = end; over < to + length; over += 1)
      for (let one = from; one < end; one += 1) if (isBefore[order[one]][order[over]]) return false;
  }
  if (turned)
    for (let one = from; one < end; one += 1)
      for (let other = one + 1; other < end; other += 1)
        if (isBefore[order[one]][order[other]]) return false;
  return true;
}

/**
 * The very best order by trying every one that is allowed, with and without each early start of a clock, anywhere: for the bench
 * and tests, on up to ten blocks.
 * @throws {RangeError} for more
 */
export function searchExactly(question: Question): number[] {
  const { task } = question;
  const size = task.blocks.length;
  if (size > 10) throw new RangeError('More than ten blocks are never tried in every order.');
  const isBefore = matrixOf(task);
  const model = modelOf(task, question.routeStyle, question.pace, question.outset);
  let best: number[] = [];
  let least = Infinity;
  const order: number[] = [];
  const used = new Uint8Array(size);
  const checks = task.blocks.filter(({ act }) => !act).length;
  let placed = 0;
  const place = () => {
    // Every check stands in it; acts that are left are not wanted.
    if (placed === checks) {
      const price = model.walk(order);
      if (price < least) {
        least = price;
        best = [...order];
      }
    }
    for (let index = 0; index < size; index += 1) {
      if (used[index]) continue;
      const { act } = task.blocks[index];
      // An act after the last check is of no use to anybody.
      if (act && placed === checks) continue;
      let free = true;
      for (let other = 0; other < size; other += 1)
        if (!used[other] && other !== index && isBefore[other][index] && !task.blocks[other].act)
          free = false;
      if (!free) continue;
      used[index] = 1;
      order.push(index);
      if (!act) placed += 1;
      place();
      if (!act) placed -= 1;
      order.pop();
      used[index] = 0;
    }
  };
  place();
  return best;
}
