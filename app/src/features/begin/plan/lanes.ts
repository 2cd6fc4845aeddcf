import type { Happening } from '@nazar/core/planner';

export interface Span {
  readonly from: number;
  readonly to: number;
  readonly kind: Happening['kind'];
}

export interface Lane {
  readonly id: 'me' | 'engine' | 'air' | 'oil' | 'lamps';
  readonly spans: readonly Span[];
}

/** What runs beside what: the driver, and every clock that somebody waits for. Seconds. */
export function toLanes(happenings: readonly Happening[], end: number, oilWarmUp: number): Lane[] {
  const lasting = (begins: string, ends?: string): Span[] => {
    const spans: Span[] = [];
    let from: number | undefined;
    for (const each of happenings) {
      if (each.kind !== 'change') continue;
      if (each.change === begins) from ??= each.at;
      else if (each.change === ends && from !== undefined) {
        spans.push({ from, to: each.at, kind: 'change' });
        from = undefined;
      }
    }
    if (from !== undefined) spans.push({ from, to: end, kind: 'change' });
    return spans;
  };
  const clock = (begins: string, seconds: number): Span[] =>
    happenings
      .filter((each) => each.kind === 'change' && each.change === begins)
      .slice(0, 1)
      .map(({ at, seconds: own }) => ({
        from: at + own,
        to: Math.min(at + own + seconds, end),
        kind: 'wait',
      }));
  const lanes: Lane[] = [
    {
      id: 'me',
      spans: happenings.map(({ kind, at, seconds }) => ({ kind, from: at, to: at + seconds })),
    },
    { id: 'engine', spans: lasting('start', 'shut-down') },
    { id: 'air', spans: clock('start', AIR) },
    { id: 'oil', spans: clock('power-take-off', oilWarmUp) },
    { id: 'lamps', spans: lasting('lamps-on') },
  ];
  return lanes.filter(({ spans }) => spans.length > 0);
}

const AIR = 90;
