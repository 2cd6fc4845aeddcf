import type { Happening, Plan } from '@nazar/core/planner';
import { USUAL_PACE, type Clock } from '@nazar/core/planning';

export interface Span {
  readonly from: number;
  readonly to: number;
  readonly kind: Happening['kind'];
}

export interface Lane {
  readonly id: 'me' | 'helper' | 'engine' | 'lamps' | 'air' | 'oil' | 'warm' | 'settle';
  readonly spans: readonly Span[];
}

interface LaneRequest {
  readonly happenings: readonly Happening[];
  readonly helped: Plan['helped'];
  /** Clocks that somebody waits for. */
  readonly clocks: readonly Clock[];
  /** Seconds since the beginning. */
  readonly end: number;
  readonly freezing: boolean;
}

/** What runs beside what: the driver, the helper, and every clock that somebody waits for. Seconds. */
export function toLanes({ happenings, helped, clocks, end, freezing }: LaneRequest): Lane[] {
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
  const clock = (id: 'air' | 'oil' | 'warm' | 'settle', begins: string, seconds: number): Lane => {
    const begun = happenings.find((each) => each.kind === 'change' && each.change === begins);
    if (!begun || !clocks.includes(id)) return { id, spans: [] };
    const from = begun.at + begun.seconds;
    return { id, spans: [{ from, to: Math.min(from + seconds, end), kind: 'wait' }] };
  };
  const pace = USUAL_PACE;
  const lanes: Lane[] = [
    {
      id: 'me',
      spans: happenings.map(({ kind, at, seconds }) => ({ kind, from: at, to: at + seconds })),
    },
    { id: 'helper', spans: helped.map((span) => ({ ...span, kind: 'check' })) },
    { id: 'engine', spans: lasting('start', 'shut-down') },
    { id: 'lamps', spans: lasting('lamps-on') },
    clock('air', 'start', pace.airBuildUp),
    clock('warm', 'start', pace.engineWarmUp),
    clock('oil', 'power-take-off', freezing ? pace.oilWarmUpInFrost : pace.oilWarmUp),
    clock('settle', 'shut-down', pace.oilSettles),
  ];
  return lanes.filter(({ spans }) => spans.length > 0);
}
