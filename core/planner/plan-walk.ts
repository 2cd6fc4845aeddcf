import type { Circumstance, Need, Phase } from '../catalogue';
import type { CheckInstance, Rig } from '../rig';
import { cutIntoBlocks, type Block, type Rule, type Task } from './blocks';
import {
  changesOf,
  findHelperless,
  orderWalk,
  USUAL_PACE,
  USUAL_ROUTE_STYLE,
  type PaceSettings,
  type RouteStyle,
  type Stop,
} from '../planning';
import { isDriven, wantsOff, wantsRunning, type Requirement } from '../vehicle';
import { searchOrder } from './search';
import { wayOf, type Point } from './way';
import type { Happening, Totals } from './happening';
import type { Outset, StandingNow } from './outset';
import { walkThrough } from './walk-through';

export interface PlanRequest {
  readonly rig: Rig;
  readonly phase: Phase;
  readonly circumstances: readonly Circumstance[];
  readonly routeStyle?: RouteStyle;
  readonly pace?: PaceSettings;
  /** The same seed gives the same plan. */
  readonly seed?: number;
  /** Somebody has started the engine already. */
  readonly running?: boolean;
  /** Keys of checks that are done; they are not planned any more. */
  readonly done?: ReadonlySet<string>;
  /** Keys of stops that the driver has put into an order of his own; they keep it. */
  readonly fixed?: readonly string[];
  /** Keys of the checks in the order of the last walk: among plans of nearly the same time the closest to it is taken. */
  readonly last?: readonly string[];
  /** In the middle of a walk: how the vehicle stands. */
  readonly now?: StandingNow;
}

/** Clocks that something useful is done meanwhile. */
type Awaited = 'air' | 'oil' | 'warm';

/** Why a stop stands where it does. */
export type Because =
  | {
      readonly code:
        | 'cold'
        | 'engine-off'
        | 'engine-on'
        | 'lamps'
        | 'air'
        | 'oil'
        | 'settle'
        | 'warm'
        | 'brake'
        | 'way'
        | 'route-style'
        | 'tests';
    }
  /** A clock runs, and this is done meanwhile. */
  | { readonly code: 'meanwhile'; readonly clock: Awaited };

export interface PlannedStop extends Stop {
  /** Seconds since the beginning of the walk. */
  readonly at: number;
  readonly seconds: number;
  readonly because: Because;
  /** Key of its first block, by which a hand may move it. */
  readonly block: string;
}

export interface Plan {
  readonly stops: readonly PlannedStop[];
  readonly happenings: readonly Happening[];
  /** The line that the feet make, metres of the rig's frame. */
  readonly way: readonly Point[];
  readonly totals: Totals;
  /** The same checks on the same model in the order of the catalogue. */
  readonly catalogueOrder: Totals;
  readonly routeStyle: RouteStyle;
  readonly seed: number;
  /** Tools and protective wear that the checks ask for. */
  readonly carry: readonly Need[];
  /** When a helper is wanted, seconds since the beginning; empty where the route style plans without one. */
  readonly helped: readonly { readonly from: number; readonly to: number }[];
  /** Checks that somebody else is needed for and that the route style plans alone. */
  readonly helperless: readonly CheckInstance[];
}

const CARRIED = new Set<Need>([
  'lamp',
  'tread-gauge',
  'pressure-gauge',
  'thumper',
  'rag',
  'gloves',
  'glasses',
  'hearing-protection',
  'hard-hat',
  'rule',
  'grease-gun',
  'water-hose',
]);

/**
 * Plans a walk: every check once, in the order that takes least time within the route style, with the reason of each stop.
 * @throws {RangeError} when the needs of a check contradict each other, naming it
 */
export function planWalk(request: PlanRequest): Plan {
  const { rig: whole, phase, seed = 1, done } = request;
  const routeStyle = request.routeStyle ?? USUAL_ROUTE_STYLE;
  const pace = request.pace ?? USUAL_PACE;
  const rig = done
    ? { ...whole, instances: whole.instances.filter(({ key }) => !done.has(key)) }
    : whole;
  const outset: Outset = {
    phase,
    freezing: request.circumstances.includes('freezing'),
    airUp: isDriven(phase) || !rig.units.some(({ module }) => module.airBrakes),
    warm: isDriven(phase),
    running: request.running ?? false,
    now: request.now,
  };
  const task = withFixed(cutIntoBlocks(rig, routeStyle, pace, outset), request.fixed ?? []);
  const order = searchOrder({ task, routeStyle, pace, outset }, seed, request.last);
  const happenings: Happening[] = [];
  const totals = walkThrough(task, order, routeStyle, pace, outset, (each) =>
    happenings.push(each),
  );
  return {
    stops: inUsualOrder(toStops(task, happenings), task, happenings, outset),
    happenings,
    way: wayOf(happenings, task.ground),
    totals,
    catalogueOrder: walkInCatalogueOrder(rig, routeStyle, pace, outset),
    routeStyle,
    seed,
    carry: [...new Set(rig.instances.flatMap(({ check }) => check.needs))].filter((need) =>
      CARRIED.has(need),
    ),
    helped: routeStyle.helper ? findHelped(task, happenings) : [],
    helperless: routeStyle.helper ? [] : findHelperless(rig),
  };
}

/** Unit by unit and check by check as the catalogue lists them, on the same model. */
export function walkInCatalogueOrder(
  rig: Rig,
  routeStyle: RouteStyle,
  pace: PaceSettings,
  outset: Outset,
): Totals {
  const task = cutIntoBlocks(rig, routeStyle, pace, outset);
  const zones = new Map(rig.zones.map((zone) => [zone.key, zone]));
  const blockOf = new Map(
    task.blocks.flatMap((block) => block.instances.map(({ key }) => [key, block] as const)),
  );
  // Neighbours in the list that are done in one place and state stay together.
  const blocks: Block[] = [];
  for (const instance of rig.instances) {
    const block = blockOf.get(instance.key);
    if (!block || !zones.has(instance.zoneKey)) continue;
    const last = blocks.at(-1);
    if (last?.key === block.key)
      blocks[blocks.length - 1] = {
        ...last,
        instances: [...last.instances, instance],
        seconds: last.seconds + instance.check.seconds,
      };
    else blocks.push({ ...block, instances: [instance], seconds: instance.check.seconds });
  }
  return walkThrough({ ...task, blocks }, [...blocks.keys()], routeStyle, pace, outset);
}

/** What even a hand does not turn round. */
const STRONGER = new Set<Rule>([
  'aboard',
  'secure',
  'cold',
  'before-start',
  'start',
  'stopping',
  'stowed',
  'use',
  'tests',
  'wash',
]);

/**
 * Stops that were put into an order by hand keep it: each before the next. A hand is stronger than the order of the route style, and
 * weaker than safety and the order of the tests.
 */
function withFixed(task: Task, fixed: readonly string[]): Task {
  if (fixed.length < 2) return task;
  const place = new Map(fixed.map((key, index) => [key, index]));
  const places = task.blocks.map(({ key }) => place.get(key));
  const ruleOf: Task['ruleOf'] = (one, other) => {
    const rule = task.ruleOf(one, other);
    const [a, b] = [places[one], places[other]];
    if (rule && STRONGER.has(rule)) return rule;
    if (a !== undefined && b !== undefined) return a < b ? 'hand' : undefined;
    // What was moved is not bound to the way any more.
    return a !== undefined || b !== undefined ? undefined : rule;
  };
  const before = task.blocks.map((_, index) =>
    task.blocks.flatMap((__, at) => (at !== index && ruleOf(at, index) ? [at] : [])),
  );
  return { ...task, before, ruleOf };
}

/** Neighbouring blocks of one zone are one stop. */
function toStops(task: Task, happenings: readonly Happening[]): PlannedStop[] {
  const { blocks } = task;
  const stops: PlannedStop[] = [];
  const seen = new Map<string, number>();
  const waits = new Set<Awaited>();
  const takeUp = ({ block: at, ...done }: Extract<Happening, { kind: 'check' }>, index: number) => {
    const block = blocks[at];
    if (block.requirement.air !== undefined) waits.delete('air');
    if (block.requirement.clocks.includes('oil')) waits.delete('oil');
    if (block.requirement.clocks.includes('warm')) waits.delete('warm');
    const last = stops.at(-1);
    if (last && last.zone.key === block.zone.key) {
      stops[stops.length - 1] = {
        ...last,
        instances: [...last.instances, ...block.instances],
        seconds: done.at + done.seconds - last.at,
      };
      return;
    }
    const times = (seen.get(block.zone.key) ?? 0) + 1;
    seen.set(block.zone.key, times);
    stops.push({
      key: times === 1 ? block.zone.key : `${block.zone.key}#${times}`,
      zone: block.zone,
      instances: block.instances,
      at: done.at,
      seconds: done.seconds,
      because: reasonOf(task, at, waits, happenings, index),
      block: block.key,
    });
  };
  happenings.forEach((happening, index) => {
    if (happening.kind === 'check') takeUp(happening, index);
    // A clock begins after what set it going, also where a check did that itself.
    const changes = changesOf(happening);
    if (changes.includes('start')) for (const clock of ['air', 'warm'] as const) waits.add(clock);
    if (changes.includes('power-take-off')) waits.add('oil');
  });
  return stops;
}

/**
 * What is done in one go at one place is done in the order that the catalogue has, one wheel after the other: the same every
 * time. It is no one go any more where something is done to the vehicle, or waited for, in between, nor where one must
 * come before the other.
 */
function inUsualOrder(
  stops: readonly PlannedStop[],
  { blocks, rig, ruleOf }: Task,
  happenings: readonly Happening[],
  { running, warm, now }: Outset,
): PlannedStop[] {
  const usual = new Map(
    orderWalk(rig)
      .flatMap(({ instances }) => instances)
      .map(({ key }, index) => [key, index]),
  );
  const goes = new Map<string, number>();
  // Once an engine has run, what is cold or settled depends on the minute.
  let clocks = running || warm || now !== undefined;
  let go = 0;
  let inGo: number[] = [];
  for (const happening of happenings) {
    const breaks =
      happening.kind !== 'check' ||
      // What does something to the vehicle stands where it was planned.
      [happening.block, ...inGo.slice(-1)].some((at) => acts(blocks[at].requirement)) ||
      inGo.some((before) => ruleOf(before, happening.block)) ||
      (clocks && waits(blocks[happening.block].requirement));
    if (changesOf(happening).includes('start')) clocks = true;
    if (breaks) {
      go += 1;
      inGo = [];
    }
    if (happening.kind !== 'check') continue;
    inGo.push(happening.block);
    for (const { key } of blocks[happening.block].instances) goes.set(key, go);
  }
  const rank = (key: string, of: ReadonlyMap<string, number>) => of.get(key) ?? 0;
  return stops.map((stop) => ({
    ...stop,
    instances: [...stop.instances].sort(
      (one, other) =>
        rank(one.key, goes) - rank(other.key, goes) ||
        rank(one.key, usual) - rank(other.key, usual),
    ),
  }));
}

/** The parts of the work that two are needed for; what follows at once is one part. */
function findHelped({ blocks }: Task, happenings: readonly Happening[]): Plan['helped'] {
  const parts: { from: number; to: number }[] = [];
  for (const happening of happenings) {
    if (happening.kind !== 'check') continue;
    let from = happening.at;
    for (const { check } of blocks[happening.block].instances) {
      const to = from + check.seconds;
      const last = parts.at(-1);
      if (check.helper === 'needed' && last?.to === from) last.to = to;
      else if (check.helper === 'needed') parts.push({ from, to });
      from = to;
    }
  }
  return parts;
}

const acts = ({ does, leavesAir }: Requirement) => does.length > 0 || leavesAir !== undefined;

const waits = ({ air, clocks }: Requirement) => air !== undefined || clocks.length > 0;

function reasonOf(
  { blocks, standing }: Task,
  at: number,
  waiting: ReadonlySet<Awaited>,
  happenings: readonly Happening[],
  index: number,
): Because {
  const { requirement, zone } = blocks[at];
  const { clocks, states } = requirement;
  if (zone.round === 'brakes') return { code: 'tests' };
  for (const code of ['cold', 'oil'] as const) if (clocks.includes(code)) return { code };
  if (requirement.air !== undefined) return { code: 'air' };
  for (const code of ['settle', 'warm'] as const) if (clocks.includes(code)) return { code };
  const clock = findRunning(waiting, happenings, index, blocks);
  if (clock && states.engine === undefined) return { code: 'meanwhile', clock };
  if (states.lamps) return { code: 'lamps' };
  if (states.brake?.includes('released')) return { code: 'brake' };
  if (wantsOff(requirement) && !standing[at]) return { code: 'engine-off' };
  if (wantsRunning(requirement)) return { code: 'engine-on' };
  if (requirement.starts) return { code: 'engine-on' };
  if (wantsOff(requirement) && zone.round === 'outside') return { code: 'way' };
  if (wantsOff(requirement)) return { code: 'engine-off' };
  return { code: standing[at] && zone.round !== 'outside' ? 'route-style' : 'way' };
}

/** A clock that somebody will need later on and that has not been waited for yet. */
function findRunning(
  waiting: ReadonlySet<Awaited>,
  happenings: readonly Happening[],
  index: number,
  blocks: readonly Block[],
): Awaited | undefined {
  return (['air', 'oil', 'warm'] as const).find(
    (clock) =>
      waiting.has(clock) &&
      happenings.slice(index + 1).some((later) => {
        if (later.kind !== 'check') return false;
        const { requirement } = blocks[later.block];
        return clock === 'air' ? requirement.air !== undefined : requirement.clocks.includes(clock);
      }),
  );
}
