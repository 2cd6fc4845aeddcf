import type { CheckInstance, Rig, RigZone } from '../rig';
import {
  comesFirst,
  cycles,
  decidesStopping,
  isEarlierInUse,
  layoutOf,
  looksStowed,
  orderWalk,
  type PaceSettings,
  rankOf,
  type RouteStyle,
  stillParts,
  precedesStart,
  travels,
  wantAt,
} from '../planning';
import {
  bitOf,
  nameOf,
  nextReach,
  requirementOf,
  wantsRunning,
  type LaidWant,
  type Layout,
  type Requirement,
  type VehicleChange,
} from '../vehicle';
import { alongWay, layGround, SIDE_BY_SIDE, type Ground, type Spot } from './ground';
import { airAt, valuesAt, type Outset } from './outset';

/** Checks that are done standing in one place while the vehicle is in one state. */
export interface Block {
  readonly key: string;
  readonly zone: RigZone;
  readonly spot: Spot;
  readonly requirement: Requirement;
  /** The requirement, and what the place asks, among the slots of this rig. */
  readonly want: LaidWant;
  readonly instances: readonly CheckInstance[];
  /** Of work, without walking and waiting. */
  readonly seconds: number;
  /** No check: only brings the vehicle into a state before somebody wants it, so that a clock runs meanwhile. */
  readonly act?: VehicleChange;
}

/** Why one block must come before another. */
export type Rule =
  | 'aboard'
  | 'cold'
  | 'secure'
  | 'before-start'
  | 'start'
  | 'stopping'
  | 'stowed'
  | 'use'
  | 'tests'
  | 'wash'
  | 'way'
  | 'first'
  | 'engine-early'
  | 'engine-last'
  | 'hand';

/** What is to be ordered: the blocks, and which of them must come before which. */
export interface Task {
  readonly rig: Rig;
  readonly ground: Ground;
  /** In the order of the catalogue's own walk. */
  readonly blocks: readonly Block[];
  /** For each block the indices of those that must be done before it. */
  readonly before: readonly (readonly number[])[];
  /** The rule behind each such pair, for naming two that contradict each other. */
  readonly ruleOf: (one: number, other: number) => Rule | undefined;
  /** Which blocks can be done as the vehicle stands before anybody starts it. */
  readonly standing: readonly boolean[];
}

/**
 * Cuts the checks of a rig into blocks.
 * @throws {RangeError} when the needs of a check contradict each other
 */
export function cutIntoBlocks(
  rig: Rig,
  routeStyle: RouteStyle,
  pace: PaceSettings,
  outset: Outset,
): Task {
  const ground = layGround(rig, pace);
  const checks: Block[] = orderWalk(rig).flatMap(({ zone, instances }) => {
    const groups = new Map<string, { requirement: Requirement; instances: CheckInstance[] }>();
    for (const instance of instances) {
      const requirement = requirementOf(instance.check);
      // Tests of the brakes follow one another as they stand in the catalogue.
      const name =
        zone.round === 'brakes'
          ? instance.key
          : groupOf(instance, requirement, outset.phase === 'before-use');
      const group = groups.get(name);
      if (group) group.instances.push(instance);
      else groups.set(name, { requirement, instances: [instance] });
    }
    return [...groups].map(([name, group]) => ({
      key: `${zone.key}#${name}`,
      zone,
      spot: ground.spotOf(zone),
      want: wantAt(rig, zone, group.requirement, zone.unit.id),
      ...group,
      seconds: group.instances.reduce((sum, { check }) => sum + check.seconds, 0),
    }));
  });
  const blocks = [...checks, ...early(rig, checks, ground)];
  const { ruleOf, standing } = rulesOf(blocks, ground, routeStyle, rig, outset);
  const before = blocks.map((_, index) =>
    blocks.flatMap((__, at) => (at !== index && ruleOf(at, index) ? [at] : [])),
  );
  return { rig, ground, blocks, before, ruleOf, standing };
}

/** What is done together has the same needs, and the same place in every order. */
function groupOf({ check }: CheckInstance, requirement: Requirement, isUse: boolean): string {
  return [
    nameOf(requirement),
    WET_AND_GREASY.get(check.method) ?? '',
    ...(check.precedes ?? []).map((each) => `before:${each}`),
    // A cycle stands for itself: what it undoes is looked at before it.
    isUse && check.use ? `use:${check.use.of}:${check.use.step}` : '',
    check.moves && check.moves.by !== 'hand' ? `moves:${check.moves.part}` : '',
  ]
    .filter((part) => part !== '')
    .join(' ');
}

/** What has its own order: water first, then grease. */
const WET_AND_GREASY: ReadonlyMap<string, string> = new Map([
  ['clean', 'clean'],
  ['grease', 'grease'],
]);

/**
 * Starting the engine, engaging the power take-off or shutting down before a check wants it: where a clock is waited for, the search
 * may put the beginning of that clock wherever no rule forbids it.
 */
function early(rig: Rig, blocks: readonly Block[], ground: Ground): Block[] {
  const some = (holds: (requirement: Requirement) => boolean) =>
    blocks.some(({ requirement }) => holds(requirement));
  const seat =
    rig.zones.find(({ id, unit }) => id === 'seat' && unit.id === rig.units[0]?.unit.id) ??
    rig.zones.find(({ round }) => round === 'cab');
  if (!seat) return [];
  const acts: { readonly act: VehicleChange; readonly needs: readonly string[] }[] = [];
  const clock = (each: 'oil' | 'warm' | 'settle') => some(({ clocks }) => clocks.includes(each));
  if (clock('warm') || some(({ air }) => air !== undefined))
    acts.push({ act: 'start', needs: ['engine-idling'] });
  if (clock('oil')) acts.push({ act: 'power-take-off', needs: ['power-take-off'] });
  if (clock('settle') && some(wantsRunning)) acts.push({ act: 'shut-down', needs: ['engine-off'] });
  return acts.map(({ act, needs }) => {
    const requirement = requirementOf({ id: act, needs });
    return {
      key: `early#${act}`,
      zone: seat,
      spot: ground.seat,
      requirement,
      want: wantAt(rig, seat, requirement, seat.unit.id),
      instances: [],
      seconds: 0,
      act,
    };
  });
}

/** What a block is to the rules, found out once. */
interface Trait {
  readonly secures: boolean;
  readonly cold: boolean;
  /** Nobody does it without the engine having run. */
  readonly runs: boolean;
  /** The guided start. */
  readonly starts: boolean;
  readonly precedesStart: boolean;
  readonly stopping: boolean;
  readonly rolls: boolean;
  readonly aboard: boolean;
  /** Looks whether something is stowed, that a cycle of its unit undoes. */
  readonly stowed: boolean;
  /** It moves what another check wants to see as it stood. */
  readonly upsets: boolean;
  /** What moves in it. */
  readonly cycles: readonly string[];
  readonly stowedParts: ReadonlySet<string>;
  /** It drives off by itself. */
  readonly travels: boolean;
  readonly washes: boolean;
  readonly greases: boolean;
  /** It can be done as the vehicle stands before anybody starts it. */
  readonly standing: boolean;
  readonly rank: number | undefined;
}

function rulesOf(
  blocks: readonly Block[],
  ground: Ground,
  routeStyle: RouteStyle,
  rig: Rig,
  outset: Outset,
): Pick<Task, 'ruleOf' | 'standing'> {
  const layout = layoutOf(rig);
  const along = ({ spot }: Block) => alongWay(spot, ground, routeStyle.direction);
  const begun = valuesAt(layout, outset);
  const running = outset.now
    ? (begun[layout.engine] & bitOf('engine', 'off')) === 0
    : outset.running;
  const cold =
    !running && (outset.now ? outset.now.coldIn === 0 && outset.now.settledIn === 0 : !outset.warm);
  const stillOf = (unitId: string) =>
    rig.instances
      .filter(({ unit }) => unit.id === unitId)
      .flatMap(({ check }) => stillParts(check));
  const traits: readonly Trait[] = blocks.map((block) =>
    traitOf(block, layout, begun, airAt(outset), routeStyle, stillOf(block.zone.unit.id)),
  );
  const guided = traits.some(({ starts }) => starts);
  const ruleOf: Task['ruleOf'] = (oneAt, otherAt) => {
    const [one, other] = [blocks[oneAt], blocks[otherAt]];
    const [a, b] = [traits[oneAt], traits[otherAt]];
    if (a.aboard && !b.aboard) return 'aboard';
    if (a.secures && !b.secures && !b.aboard && other.zone.round !== 'cab') return 'secure';
    if (cold && a.cold && (b.runs || b.starts)) return 'cold';
    if (!running && a.precedesStart && !b.precedesStart && (b.starts || b.runs))
      return 'before-start';
    if (!running && guided && a.starts && !b.starts && b.runs) return 'start';
    if (a.stopping && b.rolls && !a.rolls) return 'stopping';
    if (b.travels && one.zone.unit.id === other.zone.unit.id)
      if (!a.travels || oneAt < otherAt) return 'stopping';
    if (a.stowed && one.zone.unit.id === other.zone.unit.id)
      if (b.cycles.some((part) => a.stowedParts.has(part))) return 'stowed';
    if (b.upsets && one.zone.unit.id === other.zone.unit.id)
      if (one.instances.some(({ check }) => upsetBy(other, stillParts(check)))) return 'stowed';
    if (outset.phase === 'before-use' && one.zone.unit.id === other.zone.unit.id)
      if (isEarlierBlock(one, other)) return 'use';
    if (one.zone.round === 'brakes' && other.zone.round === 'brakes' && !one.act && !other.act)
      return oneAt < otherAt ? 'tests' : undefined;
    if (a.washes && b.greases && !b.washes)
      return one.zone.unit.id === other.zone.unit.id ? 'wash' : undefined;
    // What only starts a clock stands wherever that is worth most.
    if (one.act || other.act) return undefined;
    if (routeStyle.engine === 'early') {
      const starts = (block: Block, { starts: guide, cycles }: Trait) =>
        guided ? guide : cycles.length === 0 && startsEngine(block);
      if (starts(one, a) && idlesBy(other, b)) return 'engine-early';
      const outside = rankOf('outside', routeStyle.first) ?? 0;
      if (idlesBy(one, a) && starts(other, b) && outside < (rankOf('cab', routeStyle.first) ?? 0))
        return 'first';
    }
    const wetOrGreasy = a.greases || b.washes;
    if (
      routeStyle.engine === 'last' &&
      a.rank !== undefined &&
      !wetOrGreasy &&
      !b.secures &&
      !b.aboard
    )
      if (!b.standing && !b.precedesStart) return 'engine-last';
    if (a.rank === undefined || b.rank === undefined) return undefined;
    // The outside is walked in the same order every time, from the driver's front corner on.
    if (one.zone.round === 'outside' && other.zone.round === 'outside')
      return along(one) < along(other) - SIDE_BY_SIDE ? 'way' : undefined;
    return a.rank < b.rank ? 'first' : undefined;
  };
  return { ruleOf, standing: traits.map(({ standing }) => standing) };
}

/** All checks of a block stand at the same place in the use of a machine. */
const isEarlierBlock = ({ instances: [one] }: Block, { instances: [other] }: Block) =>
  one !== undefined && other !== undefined && isEarlierInUse(one.check, other.check);

const upsetBy = ({ instances }: Block, parts: readonly string[]) =>
  instances.some(({ check: { moves } }) => moves && parts.includes(moves.part));

function traitOf(
  block: Block,
  layout: Layout,
  begun: Uint8Array,
  air: number,
  routeStyle: RouteStyle,
  still: readonly string[],
): Trait {
  const { requirement, instances, want, zone } = block;
  const some = (holds: (check: CheckInstance['check']) => boolean) =>
    instances.some(({ check }) => holds(check));
  const secures = some(({ does }) => does?.includes('set-brake') ?? false);
  const washes = some(({ method }) => method === 'clean');
  const aboard = some(comesFirst);
  const standing = !block.act && isStandingIn(layout, begun, want, air, requirement);
  const upsets = upsetBy(block, still);
  const ranked =
    !secures &&
    // It waits for what it upsets, wherever that stands on the way round.
    !upsets &&
    !aboard &&
    standing &&
    !washes &&
    // Where the engine is started first, what wants it off has its time from the engine.
    !(routeStyle.engine === 'early' && requirement.states.engine !== undefined) &&
    !some(precedesStart);
  return {
    secures,
    cold: requirement.clocks.includes('cold') || requirement.clocks.includes('settle'),
    runs: runsEngine(block, layout, begun, air),
    starts: requirement.starts,
    precedesStart: some(precedesStart),
    stopping: some(decidesStopping),
    rolls: requirement.rolls,
    aboard,
    stowed: some(looksStowed),
    travels: some(travels),
    upsets,
    cycles: instances.flatMap(({ check }) => cycles(check) ?? []),
    stowedParts: new Set(instances.flatMap(({ check: { partOf = [] } }) => partOf)),
    washes,
    greases: some(({ method }) => method === 'grease'),
    standing,
    rank: ranked ? rankOf(zone.round, routeStyle.first) : undefined,
  };
}

/** Whether it can be done as the vehicle stands before anybody starts it, once it is secured. */
function isStandingIn(
  layout: Layout,
  begun: Uint8Array,
  { pairs, air: wanted }: LaidWant,
  air: number,
  { starts, clocks }: Requirement,
): boolean {
  if (starts || wanted > air || clocks.includes('warm') || clocks.includes('oil')) return false;
  const secured: Readonly<Record<string, string>> = {
    chocks: 'in',
    key: 'pocket',
    engine: 'off',
    brake: 'set',
  };
  for (let at = 0; at < pairs.length; at += 2) {
    const { dimension } = layout.slots[pairs[at]];
    if (dimension === 'bay') continue;
    const value = secured[dimension];
    const bit = value === undefined ? begun[pairs[at]] : bitOf(dimension, value);
    if ((bit & pairs[at + 1]) === 0) return false;
  }
  return true;
}

/** Whether bringing about what a block wants, from how the walk begins, starts the engine on the way. */
function runsEngine(
  { requirement, want }: Block,
  layout: Layout,
  begun: Uint8Array,
  air: number,
): boolean {
  if (requirement.starts) return false;
  if (wantsRunning(requirement) || requirement.does.includes('start')) return true;
  const values = begun.slice();
  values[layout.engine] = bitOf('engine', 'off');
  for (let count = 0; count < 60; count += 1) {
    const reach = nextReach(layout, values, want, air);
    if (!reach) return false;
    if (reach.kind === 'air' || reach.change === 'start') return true;
    values[reach.slot] = reach.to;
    for (let at = 0; at < reach.also.length; at += 2) values[reach.also[at]] = reach.also[at + 1];
  }
  return false;
}

/** Done at the seat with the engine running. */
const startsEngine = ({ zone, requirement }: Block) =>
  zone.round === 'cab' && wantsRunning(requirement);

/** Looked at from outside, and the engine is no matter. */
const idlesBy = ({ zone, requirement }: Block, { standing, stowed }: Trait) =>
  zone.round === 'outside' &&
  standing &&
  !stowed &&
  requirement.states.engine === undefined &&
  requirement.does.length === 0;
