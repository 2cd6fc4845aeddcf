import { droppedUnits, type Inspection } from '../inspection';
import type { Rig } from '../rig';
import type { ReportCourse } from './document';

const iso = (milliseconds: number) => new Date(milliseconds).toISOString();

/** What happened on a walk beside the answers, as far as one unit goes; undefined where nothing did. */
export function toCourse(
  { course }: Inspection,
  rig: Rig,
  unitId: string,
): ReportCourse | undefined {
  const zones = new Map(
    rig.zones.filter(({ unit }) => unit.id === unitId).map(({ key, title }) => [key, title]),
  );
  const presence = [...course.present.values()].flatMap(({ zone, at, how }) => {
    const title = zones.get(zone);
    return title === undefined ? [] : [{ title, at: iso(at), how }];
  });
  const left = droppedUnits(rig, course).has(unitId)
    ? (course.dropped.get(unitId) ?? [...course.dropped.values()][0])
    : undefined;
  const whole: ReportCourse = {
    ...(presence.length > 0 && { presence }),
    ...(course.helpers.length > 0 && {
      helpers: course.helpers.map(({ name, at, to }) => ({
        name,
        from: iso(at),
        ...(to !== undefined && { to: iso(to) }),
      })),
    }),
    ...(left && { leftBehind: { reason: left.reason, at: iso(left.at) } }),
    ...(course.turned.length > 0 && {
      turned: course.turned.map(({ circumstances, at }) => ({ circumstances, at: iso(at) })),
    }),
    ...(course.clockMoves.length > 0 && {
      clockMoved: course.clockMoves.map(({ seconds, at }) => ({ seconds, at: iso(at) })),
    }),
  };
  return Object.keys(whole).length > 0 ? whole : undefined;
}
