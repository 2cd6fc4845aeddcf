import type { Happening, Plan } from '@nazar/core/planner';
import { changesOf, USUAL_PACE } from '@nazar/core/planning';
import {
  transitionOf,
  type Clock,
  type DimensionId,
  type VehicleChange,
} from '@nazar/core/vehicle';

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
  const changes = happenings.flatMap((each) =>
    changesOf(each).map((change) => ({ at: each.at, end: each.at + each.seconds, change })),
  );
  /** While a part of the vehicle is in one of these values, by the table of how it stands. */
  const lasting = (of: DimensionId, values: readonly string[]): Span[] => {
    const spans: Span[] = [];
    let from: number | undefined;
    for (const { at, change } of changes) {
      const rule = transitionOf(change);
      const value = rule?.of === of ? rule.to : rule?.also?.[of];
      if (value === undefined) continue;
      if (values.includes(value)) from ??= at;
      else if (from !== undefined) {
        spans.push({ from, to: at, kind: 'change' });
        from = undefined;
      }
    }
    if (from !== undefined) spans.push({ from, to: end, kind: 'change' });
    return spans;
  };
  const clock = (
    id: 'air' | 'oil' | 'warm' | 'settle',
    begins: VehicleChange,
    seconds: number,
  ): Lane => {
    const begun = changes.find(({ change }) => change === begins);
    if (!begun || !clocks.includes(id)) return { id, spans: [] };
    return {
      id,
      spans: [{ from: begun.end, to: Math.min(begun.end + seconds, end), kind: 'wait' }],
    };
  };
  const pace = USUAL_PACE;
  const lanes: Lane[] = [
    {
      id: 'me',
      spans: happenings.map(({ kind, at, seconds }) => ({ kind, from: at, to: at + seconds })),
    },
    { id: 'helper', spans: helped.map((span) => ({ ...span, kind: 'check' })) },
    { id: 'engine', spans: lasting('engine', ['idling', 'working']) },
    { id: 'lamps', spans: lasting('lamps', ['on']) },
    clock('air', 'start', pace.airBuildUp),
    clock('warm', 'start', pace.engineWarmUp),
    clock('oil', 'power-take-off', freezing ? pace.oilWarmUpInFrost : pace.oilWarmUp),
    clock('settle', 'shut-down', pace.oilSettles),
  ];
  return lanes.filter(({ spans }) => spans.length > 0);
}
