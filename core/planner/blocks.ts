import type { CheckInstance, Rig, RigZone } from '../rig';
import { alongWay, layGround, SIDE_BY_SIDE, type Ground, type Spot } from './ground';
import {
  isStanding,
  nameOf,
  orderWalk,
  rankOf,
  requirementOf,
  type PaceSettings,
  type Requirement,
  type School,
} from '../planning';

/** Checks that are done standing in one place while the vehicle is in one state. */
export interface Block {
  readonly key: string;
  readonly zone: RigZone;
  readonly spot: Spot;
  readonly requirement: Requirement;
  readonly instances: readonly CheckInstance[];
  /** Of work, without walking and waiting. */
  readonly seconds: number;
}

/** Why one block must come before another. */
export type Rule =
  'cold' | 'secure' | 'tests' | 'wash' | 'way' | 'first' | 'engine-early' | 'engine-last' | 'hand';

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
}

/**
 * Cuts the checks of a rig into blocks.
 * @param cold the engine is cold now: what must be cold comes before it is started
 * @throws {RangeError} when the needs of a check contradict each other
 */
export function cutIntoBlocks(rig: Rig, school: School, pace: PaceSettings, cold = true): Task {
  const ground = layGround(rig, pace);
  const blocks: Block[] = orderWalk(rig).flatMap(({ zone, instances }) => {
    const groups = new Map<string, { requirement: Requirement; instances: CheckInstance[] }>();
    for (const instance of instances) {
      const requirement = requirementOf(instance.check);
      // Tests of the brakes follow one another as they stand in the catalogue.
      const name =
        zone.round === 'brakes'
          ? instance.key
          : `${nameOf(requirement)} ${WET_AND_GREASY.get(instance.check.method) ?? ''}`.trim();
      const group = groups.get(name);
      if (group) group.instances.push(instance);
      else groups.set(name, { requirement, instances: [instance] });
    }
    return [...groups].map(([name, group]) => ({
      key: `${zone.key}#${name}`,
      zone,
      spot: ground.spotOf(zone),
      ...group,
      seconds: group.instances.reduce((sum, { check }) => sum + check.seconds, 0),
    }));
  });
  const ruleOf = rulesOf(blocks, ground, school, cold);
  const before = blocks.map((_, index) =>
    blocks.flatMap((__, at) => (at !== index && ruleOf(at, index) ? [at] : [])),
  );
  return { rig, ground, blocks, before, ruleOf };
}

/** What has its own order: water first, then grease. */
const WET_AND_GREASY: ReadonlyMap<string, string> = new Map([
  ['clean', 'clean'],
  ['grease', 'grease'],
]);

function rulesOf(
  blocks: readonly Block[],
  ground: Ground,
  school: School,
  cold: boolean,
): Task['ruleOf'] {
  const along = ({ spot }: Block) => alongWay(spot, ground, school.direction);
  const ranks = blocks.map((block) => {
    // Brake and chocks come before everything outside, whatever the way.
    if (secures(block)) return undefined;
    // What is washed has its order from the water.
    if (!isStanding(block.requirement) || isDone(block, 'clean')) return undefined;
    // Where the engine is started first, what wants it off has its time from the engine.
    if (school.engine === 'early' && block.requirement.engine) return undefined;
    return rankOf(block.zone.round, school.first);
  });
  return (oneAt, otherAt) => {
    const one = blocks[oneAt];
    const other = blocks[otherAt];
    if (secures(one) && !secures(other) && other.zone.round !== 'cab') return 'secure';
    if (cold && wantsCold(one) && runsEngine(other)) return 'cold';
    if (one.zone.round === 'brakes' && other.zone.round === 'brakes')
      return oneAt < otherAt ? 'tests' : undefined;
    if (isDone(one, 'clean') && isDone(other, 'grease') && !isDone(other, 'clean'))
      return one.zone.unit.id === other.zone.unit.id ? 'wash' : undefined;
    if (school.engine === 'early') {
      if (startsEngine(one) && idlesBy(other)) return 'engine-early';
      const outside = rankOf('outside', school.first) ?? 0;
      if (idlesBy(one) && startsEngine(other) && outside < (rankOf('cab', school.first) ?? 0))
        return 'first';
    }
    const [a, b] = [ranks[oneAt], ranks[otherAt]];
    const wetOrGreasy = isDone(one, 'grease') || isDone(other, 'clean');
    if (school.engine === 'last' && a !== undefined && !wetOrGreasy)
      if (!isStanding(other.requirement)) return 'engine-last';
    if (a === undefined || b === undefined) return undefined;
    // The outside is walked in the same order every time, from the driver's front corner on.
    if (one.zone.round === 'outside' && other.zone.round === 'outside')
      return along(one) < along(other) - SIDE_BY_SIDE ? 'way' : undefined;
    return a < b ? 'first' : undefined;
  };
}

/** Sets the scene: parking brake and chocks. */
const secures = ({ instances }: Block) =>
  instances.some(({ check }) => check.does?.includes('set-brake'));

/** A cold engine, or oil that has run back: both are there before the first start, and only long after it. */
const wantsCold = ({ requirement }: Block) =>
  requirement.engine === 'cold' || requirement.settled === true;

/** Nobody does it without the engine having run. */
const runsEngine = ({ requirement }: Block) =>
  requirement.engine === 'on' || requirement.air === true;

/** Done at the seat with the engine running. */
const startsEngine = ({ zone, requirement }: Block) =>
  zone.round === 'cab' && requirement.engine === 'on';

/** Looked at from outside, and the engine is no matter. */
const idlesBy = ({ zone, requirement }: Block) =>
  zone.round === 'outside' && isStanding(requirement) && !requirement.engine;

/** Washed first, then greased: water would take the grease along. */
function isDone({ instances }: Block, method: 'clean' | 'grease'): boolean {
  return instances.some(({ check }) => check.method === method);
}
