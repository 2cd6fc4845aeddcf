import type { Axle, Place, RunningGear, Shape } from '../catalogue';

/** Metres from the middle of one tyre of a pair to that of the other. */
const BETWEEN_DUALS = 0.36;
const TYRE_WIDTH = 0.28;

interface Position {
  readonly axle: Axle;
  readonly index: number;
  /** It belongs to the axles that steer in front. */
  readonly front: boolean;
  /** How the axle is called in ids and on screen. */
  readonly id: string;
  readonly title: string;
}

/** How many axles steer in front: the first one at least, and those behind it as long as they are steered. */
function frontAxles({ names, axles }: RunningGear): number {
  if (names === 'numbered') return 0;
  const firstFixed = axles.findIndex(({ steered }) => !steered);
  return firstFixed < 0 ? axles.length : Math.max(1, firstFixed);
}

/** The axles as they are called: those that steer in front first. */
function positionsOf(gear: RunningGear): Position[] {
  const fronts = frontAxles(gear);
  const rears = gear.axles.length - fronts;
  return gear.axles.map((axle, index) => {
    const front = index < fronts;
    const numbered = `axle ${index + 1} `;
    const of = { axle, index, front };
    switch (gear.names) {
      case 'numbered':
        return { ...of, id: `axle-${index + 1}`, title: numbered };
      case 'front-and-rear':
        return { ...of, id: front ? 'front' : 'rear', title: front ? 'front ' : 'rear ' };
      case 'steer-and-drive': {
        const name = front ? 'steer' : 'drive';
        const alike = front ? fronts : rears;
        const from = front ? 0 : fronts;
        return alike > 1
          ? { ...of, id: `${name}${index - from + 1}`, title: numbered }
          : { ...of, id: name, title: '' };
      }
    }
  });
}

/** Stops at which one stands for the wheels of each scheme of names: driver's side, curb side. */
const STOPS = {
  'steer-and-drive': {
    front: ['driver-front-wheel', 'curb-front-wheel'],
    rear: ['driver-rear-wheels', 'curb-rear-wheels'],
  },
  numbered: { front: [], rear: ['driver-wheels', 'curb-wheels'] },
  'front-and-rear': {
    front: ['driver-side', 'curb-side'],
    rear: ['driver-side', 'curb-side'],
  },
} as const;

/**
 * The places of all wheels: a tyre for each tyre there is, an end of the axle on each side; "between the two tyres" only where
 * there are two.
 */
export function wheelPlaces(gear: RunningGear): Place[] {
  return positionsOf(gear).flatMap((position) =>
    (['left', 'right'] as const).flatMap((side) => placesOfSide(gear, position, side)),
  );
}

function placesOfSide(gear: RunningGear, of: Position, side: 'left' | 'right'): Place[] {
  const { axle, index, front, id, title } = of;
  const sign = side === 'left' ? -1 : 1;
  const zone = STOPS[gear.names][front ? 'front' : 'rear'][side === 'left' ? 0 : 1] ?? '';
  const outer = gear.width / 2 - TYRE_WIDTH / 2;
  const inner = outer - BETWEEN_DUALS;
  const at = (name: string, words: string, sorts: readonly string[], y: number): Place => ({
    id: `${id}-${side}${name}`,
    title: `${title}${side}${words}`,
    sorts: [...sorts, ...(axle.lifts && sorts.includes('wheel-end') ? ['lift-axle'] : [])],
    zone,
    x: axle.at,
    y: sign * round(y),
    axle: index,
  });
  const end = ['wheel-end', 'spring', 'brake'];
  if (front && gear.names === 'steer-and-drive')
    return [at('', ' steer', ['steer', 'tyre', ...end], outer)];
  if (axle.tyres === 2)
    return [
      at('-outer', ' outer', ['dual', 'tyre'], outer),
      at('-inner', ' inner', ['dual', 'tyre'], inner),
      at(
        '',
        gear.names === 'numbered' ? '' : ' rear',
        [...end, 'pair', 'rear-end'],
        (outer + inner) / 2,
      ),
    ];
  if (gear.names === 'steer-and-drive')
    return [at('-tyre', '', ['dual', 'tyre'], outer), at('', ' rear', [...end, 'rear-end'], outer)];
  return [at('', '', ['tyre', ...end, 'rear-end'], outer)];
}

/** The wheels as they are drawn from above. */
export function wheelShapes(gear: RunningGear): Shape[] {
  const outer = gear.width / 2 - TYRE_WIDTH / 2;
  return gear.axles.flatMap(({ at, tyres }) =>
    [-1, 1].flatMap((sign) =>
      (tyres === 2 ? [outer, outer - BETWEEN_DUALS] : [outer]).map((y): Shape => ({
        kind: 'rect',
        role: 'wheel',
        x: round(at - 0.52),
        y: round(sign * y - TYRE_WIDTH / 2),
        length: 1.04,
        width: TYRE_WIDTH,
        round: 0.08,
      })),
    ),
  );
}

/**
 * Where one stands for the wheels of this running gear.
 * @returns metres from the front of the unit, by the id of the stop
 */
export function wheelStops(gear: RunningGear): ReadonlyMap<string, number> {
  // A small vehicle is walked by its sides, wherever its wheels are.
  if (gear.names === 'front-and-rear') return new Map();
  const positions = positionsOf(gear);
  const stops = STOPS[gear.names];
  const middle = (front: boolean) => {
    const at = positions.filter((each) => each.front === front).map(({ axle }) => axle.at);
    return at.reduce((sum, each) => sum + each, 0) / Math.max(1, at.length);
  };
  return new Map<string, number>([
    ...stops.front.map((id) => [id, round(middle(true))] as const),
    ...stops.rear.map((id) => [id, round(middle(false))] as const),
  ]);
}

/** Sorts of places that a running gear can have, though the axles of its module have none of them. */
export function sortsOfWheels({ names, mayHaveDuals }: RunningGear): string[] {
  return [
    'tyre',
    'wheel-end',
    'spring',
    'brake',
    'rear-end',
    'lift-axle',
    ...(names === 'steer-and-drive' ? ['steer', 'dual'] : []),
    ...(mayHaveDuals ? ['dual', 'pair'] : []),
  ];
}

const round = (metres: number) => Math.round(metres * 1000) / 1000;
