import type { Service } from '../catalogue';
import { paceOf, type CounterReading } from './pace';

export interface ServiceDone {
  /** Milliseconds since 1970. */
  readonly at: number;
  /** Metres on the odometer, and hours on the meter, where they were read. */
  readonly odometer?: number;
  readonly hours?: number;
}

export interface ServiceRequest {
  readonly service: Service;
  /** The last time it was done; undefined when nobody has recorded one. */
  readonly last?: ServiceDone;
  /** Odometer in metres, oldest or newest first. */
  readonly odometer: readonly CounterReading[];
  readonly hours: readonly CounterReading[];
  readonly now: number;
}

export interface ServiceDue {
  /** Milliseconds since 1970; undefined when use says nothing yet. */
  readonly at?: number;
  readonly state: 'never-recorded' | 'due' | 'soon' | 'later' | 'unknown';
  /** Worked out from use (an estimate) or fixed by the calendar. */
  readonly from: 'calendar' | 'use';
  /** Left until then, kilometres or hours; negative when past. */
  readonly left?: number;
  readonly unit?: 'km' | 'h';
}

const DAY = 86_400_000;
const SOON = 7 * DAY;

/** When a service is due next: fixed by the calendar, or worked out from how much the unit is used. */
export function serviceDue(request: ServiceRequest): ServiceDue {
  const { every } = request.service;
  if ('season' in every) return bySeason(request, every.season);
  if (!request.last) return { state: 'never-recorded', from: 'days' in every ? 'calendar' : 'use' };
  if ('days' in every)
    return dated(request.last.at + every.days * DAY, request.now, { from: 'calendar' });
  return 'km' in every
    ? byUse(request, every.km, 'km', request.odometer, (value) => value / 1000)
    : byUse(request, every.hours, 'h', request.hours, (value) => value);
}

function dated(at: number, now: number, more: Omit<ServiceDue, 'at' | 'state'>): ServiceDue {
  const state = at <= now ? 'due' : at <= now + SOON ? 'soon' : 'later';
  return { at, state, ...more };
}

/** Once a year before a day: done any time in the 120 days before it counts for that year. */
function bySeason(
  { last, now }: ServiceRequest,
  { month, day }: { month: number; day: number },
): ServiceDue {
  const year = new Date(now).getUTCFullYear();
  const days = [year - 1, year, year + 1].map((each) => Date.UTC(each, month - 1, day));
  const isDone = (due: number) => last !== undefined && last.at >= due - 120 * DAY;
  // What was missed stays due for half a year, then the next season counts.
  const next = days.find((due) => now <= due + 182 * DAY && !isDone(due)) ?? days[2];
  return dated(next, now, { from: 'calendar' });
}

function byUse(
  { last, now }: ServiceRequest,
  every: number,
  unit: 'km' | 'h',
  readings: readonly CounterReading[],
  toUnit: (value: number) => number,
): ServiceDue {
  const latest = readings.reduce<CounterReading | undefined>(
    (a, b) => (a && a.at >= b.at ? a : b),
    undefined,
  );
  const at = unit === 'km' ? last?.odometer : last?.hours;
  if (!latest || at === undefined) return { state: 'unknown', from: 'use', unit };
  const rate = paceOf(readings);
  const perDay = rate === undefined ? undefined : toUnit(rate);
  // The unit went on running since the last reading.
  const run = perDay === undefined ? 0 : (perDay * Math.max(0, now - latest.at)) / DAY;
  const left = toUnit(at) + every - toUnit(latest.value) - run;
  if (left <= 0) return { at: now, state: 'due', from: 'use', left, unit };
  if (perDay === undefined || perDay <= 0) return { state: 'unknown', from: 'use', left, unit };
  return dated(now + (left / perDay) * DAY, now, { from: 'use', left, unit });
}
