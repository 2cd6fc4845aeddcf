import type { Chart } from '../catalogue';

export type Rated =
  /** Kilograms that the chart allows. */
  | { readonly load: number; readonly radius: number; readonly length: number }
  | { readonly outside: 'radius' | 'length' | 'not-allowed' };

/**
 * The rated load at a radius and with so much boom out. Between two lines or lengths of the chart the smaller load of both counts:
 * nothing is interpolated, as the charts themselves say. Outside of it nothing is lifted.
 * @param chart without faults (`findCardFaults`)
 * @param radius metres from the axis of turning
 * @param length of the boom, metres
 */
export function ratedLoad({ rows, lengths }: Chart, radius: number, length: number): Rated {
  const last = rows[rows.length - 1];
  if (!last || !(radius >= 0) || radius > last.radius + HAIR) return { outside: 'radius' };
  if (!(length >= 0) || length > lengths[lengths.length - 1] + HAIR) return { outside: 'length' };
  // Nearer than the first line the first line counts.
  const line = rows.findIndex((row) => row.radius >= radius - HAIR);
  const column = lengths.findIndex((each) => each >= length - HAIR);
  const exactLine = line === 0 || Math.abs(rows[line].radius - radius) <= HAIR;
  const exactColumn = column === 0 || Math.abs(lengths[column] - length) <= HAIR;
  const loads = [line, ...(exactLine ? [] : [line - 1])].flatMap((row) =>
    [column, ...(exactColumn ? [] : [column - 1])].map((each) => rows[row].loads[each] ?? null),
  );
  if (loads.some((load) => load === null)) return { outside: 'not-allowed' };
  return {
    load: Math.min(...loads.filter((load) => load !== null)),
    radius: rows[line].radius,
    length: lengths[column],
  };
}

/** Rounding of a conversion, metres. */
const HAIR = 1e-6;
