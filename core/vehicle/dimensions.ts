/**
 * How a vehicle stands: one table. Nothing else in the code knows a state by name; planner, walk, state bar, end of a walk and the
 * check of content are made from it. The judge of plans tells it a second time, on purpose, and reads nothing here.
 */
export interface Dimension {
  readonly values: readonly string[];
  /** One for the whole rig, or one for each unit that has such a thing. */
  readonly of: 'vehicle' | 'unit';
  /** How it stands when the vehicle was parked for the night. */
  readonly parked: string;
  /** How it stands when anything rolls; undefined where that is no matter. */
  readonly rolling?: string;
  /** Nobody but the driver changes it on a walk: it is as the rig was put together. */
  readonly fixed?: true;
  /** Movements, as content names them, that bring it out of how it is parked. */
  readonly movedBy?: readonly string[];
}

/** In the order in which they are brought about: what stands out first, then the power, last the brake. */
export const DIMENSIONS = {
  coupling: { values: ['coupled', 'apart'], of: 'unit', parked: 'coupled', fixed: true },
  load: { values: ['empty', 'loaded'], of: 'unit', parked: 'empty', fixed: true },
  liftDoor: { values: ['shut', 'open'], of: 'unit', parked: 'shut', rolling: 'shut' },
  platform: {
    values: ['stowed', 'open'],
    of: 'unit',
    parked: 'stowed',
    rolling: 'stowed',
    movedBy: ['platform'],
  },
  liftPower: { values: ['off', 'on'], of: 'unit', parked: 'off', rolling: 'off' },
  machinery: { values: ['still', 'running'], of: 'unit', parked: 'still', rolling: 'still' },
  boom: {
    values: ['cradled', 'raised'],
    of: 'unit',
    parked: 'cradled',
    rolling: 'cradled',
    movedBy: ['crane', 'ladder', 'upper'],
  },
  outriggers: {
    values: ['in', 'set'],
    of: 'unit',
    parked: 'in',
    rolling: 'in',
    movedBy: ['crane', 'ladder', 'upper'],
  },
  tailgate: { values: ['latched', 'released'], of: 'unit', parked: 'latched', rolling: 'latched' },
  body: {
    values: ['down', 'raised', 'propped'],
    of: 'unit',
    parked: 'down',
    rolling: 'down',
    movedBy: ['hoist'],
  },
  blade: {
    values: ['up', 'ground'],
    of: 'unit',
    parked: 'ground',
    rolling: 'up',
    movedBy: ['blade'],
  },
  ownEngine: { values: ['off', 'running'], of: 'unit', parked: 'off', rolling: 'off' },
  powerTakeOff: { values: ['out', 'in'], of: 'vehicle', parked: 'out', rolling: 'out' },
  chocks: { values: ['out', 'in'], of: 'vehicle', parked: 'out', rolling: 'out' },
  engine: { values: ['off', 'idling', 'working'], of: 'vehicle', parked: 'off' },
  key: { values: ['pocket', 'in', 'on'], of: 'vehicle', parked: 'pocket' },
  lamps: { values: ['off', 'on'], of: 'vehicle', parked: 'off' },
  gear: { values: ['neutral', 'in-gear'], of: 'vehicle', parked: 'neutral' },
  brake: { values: ['set', 'released'], of: 'vehicle', parked: 'set' },
  bay: { values: ['closed', 'open', 'tilted'], of: 'vehicle', parked: 'closed', rolling: 'closed' },
} as const satisfies Readonly<Record<string, Dimension>>;

export type DimensionId = keyof typeof DIMENSIONS;
export type ValueOf<D extends DimensionId> = (typeof DIMENSIONS)[D]['values'][number];

export const DIMENSION_IDS = Object.keys(DIMENSIONS) as DimensionId[];

export function dimension(id: DimensionId): Dimension {
  return DIMENSIONS[id];
}

/** Values that are allowed, one dimension after another; a dimension that is missing does not matter. */
export type States = Readonly<Partial<Record<DimensionId, readonly string[]>>>;

/**
 * What both ask, so that each holds.
 * @returns the dimension in which no value is left, where they contradict each other
 */
export function bothOf(
  one: States,
  other: States,
): { readonly states: States } | { readonly torn: DimensionId } {
  const states: Partial<Record<DimensionId, readonly string[]>> = { ...one };
  for (const id of Object.keys(other) as DimensionId[]) {
    const wanted = other[id] ?? [];
    const known = states[id];
    const left = known ? known.filter((value) => wanted.includes(value)) : wanted;
    if (left.length === 0) return { torn: id };
    states[id] = left;
  }
  return { states };
}
