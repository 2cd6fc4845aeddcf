import type { CheckInstance, Rig, RigZone } from '../rig';
import { alongWay, layGround, SIDE_BY_SIDE, type Ground, type Spot } from './ground';
import { orderWalk } from '../planning';
import { isStanding, nameOf, requirementOf, type Requirement } from './requirement';
import { rankOf, type School } from '../planning';
import type { PaceSettings } from './settings';

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

/** What is to be ordered: the blocks, and which of them must come before which. */
export interface Task {
  readonly rig: Rig;
  readonly ground: Ground;
  /** In the order of the catalogue's own walk. */
  readonly blocks: readonly Block[];
  /** For each block the indices of those that must be done before it. */
  readonly before: readonly (readonly number[])[];
}

/**
 * Cuts the checks of a rig into blocks.
 * @throws {RangeError} when the needs of a check contradict each other
 */
export function cutIntoBlocks(rig: Rig, school: School, pace: PaceSettings): Task {
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
  return { rig, ground, blocks, before: findPrecedence(blocks, ground, school) };
}

/** What has its own order: water first, then grease. */
const WET_AND_GREASY: ReadonlyMap<string, string> = new Map([
  ['clean', 'clean'],
  ['grease', 'grease'],
]);

function findPrecedence(blocks: readonly Block[], ground: Ground, school: School): number[][] {
  const along = ({ spot }: Block) => alongWay(spot, ground, school.direction);
  const rank = (block: Block) =>
    // What is washed has its order from the water.
    isStanding(block.requirement) && !isDone(block, 'clean')
      ? rankOf(block.zone.round, school.first)
      : undefined;
  return blocks.map((block, index) =>
    blocks.flatMap((other, at) =>
      at !== index && mustPrecede(other, at, block, index) ? [at] : [],
    ),
  );

  function mustPrecede(one: Block, oneAt: number, other: Block, otherAt: number): boolean {
    if (one.zone.round === 'brakes' && other.zone.round === 'brakes') return oneAt < otherAt;
    if (isDone(one, 'clean') && isDone(other, 'grease') && !isDone(other, 'clean'))
      return one.zone.unit.id === other.zone.unit.id;
    const [a, b] = [rank(one), rank(other)];
    if (a === undefined || b === undefined) return false;
    // The outside is walked in the same order every time, from the driver's front corner on.
    if (one.zone.round === 'outside' && other.zone.round === 'outside')
      return along(one) < along(other) - SIDE_BY_SIDE;
    return a < b;
  }
}

/** Washed first, then greased: water would take the grease along. */
function isDone({ instances }: Block, method: 'clean' | 'grease'): boolean {
  return instances.some(({ check }) => check.method === method);
}
