import type { Ground, Spot } from './ground';
import type { Happening } from './happening';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The line that the feet make: round the outline with its corners, and in where somebody gets in. Metres of the rig's frame. */
export function wayOf(happenings: readonly Happening[], ground: Ground): Point[] {
  const points: Point[] = [];
  for (const each of happenings) {
    if (each.kind !== 'go') continue;
    const { from, to, metres } = each;
    if (points.length === 0) points.push(ground.pointAt(from.ring));
    if (isInside(from) && isInside(to)) {
      points.push({ x: to.x, y: to.y });
      continue;
    }
    if (isInside(from)) points.push(ground.pointAt(from.ring));
    points.push(...round(from.ring, to.ring, metres, ground));
    if (isInside(to)) points.push({ x: to.x, y: to.y });
  }
  return points;
}

const isInside = ({ level }: Spot) => level === 'cab' || level === 'aboard' || level === 'deck';

/** From one place of the outline to another, the way that is as long as it was walked. */
function round(from: number, to: number, metres: number, ground: Ground): Point[] {
  const { length, corners } = ground;
  const ahead = (((to - from) % length) + length) % length;
  const onward = Math.abs(metres - ahead) <= Math.abs(metres - (length - ahead));
  const far = onward ? ahead : length - ahead;
  const passed = corners
    .map((ring) => {
      const off = (((onward ? ring - from : from - ring) % length) + length) % length;
      return { ring, off };
    })
    .filter(({ off }) => off > 1e-6 && off < far - 1e-6)
    .sort((one, other) => one.off - other.off)
    .map(({ ring }) => ground.pointAt(ring));
  return [...passed, ground.pointAt(to)];
}
