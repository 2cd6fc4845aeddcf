import type { Rig } from '@nazar/core/rig';

interface Point {
  readonly x: number;
  readonly y: number;
}

const AWAY = 0.8;

/** The beads in their order, with the corners of the outline between them, so that the line never crosses the rig. */
export function wayRound(rig: Pick<Rig, 'length' | 'width'>, beads: readonly Point[]): Point[] {
  const side = rig.width / 2 + AWAY;
  const rear = rig.length + AWAY;
  const corners: readonly Point[] = [
    { x: rear, y: -side },
    { x: rear, y: side },
    { x: -AWAY, y: side },
  ];
  const along = ({ x, y }: Point): number => {
    if (y <= -rig.width / 2) return x;
    if (x >= rig.length) return rear + (y + side);
    if (y >= rig.width / 2) return rear + 2 * side + (rear - x);
    return 2 * rear + 2 * side + AWAY + (side - y);
  };
  return beads.flatMap((bead, index) => {
    const next = beads[index + 1];
    if (!next) return [bead];
    const between = corners.filter((_, at) => {
      const place = [rear, rear + 2 * side, 2 * rear + 2 * side + AWAY][at];
      return place > along(bead) && place < along(next);
    });
    return [bead, ...between];
  });
}
