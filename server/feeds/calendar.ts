import ical, { ICalEventTransparency } from 'ical-generator';
import type { DepotUnit } from '../store/units';
import type { UnitService } from './services-due';

/** Services with a date as iCalendar (RFC 5545), one all-day entry each; the same service keeps its UID. */
export function toCalendar(
  name: string,
  units: readonly DepotUnit[],
  services: readonly UnitService[],
  now: Date,
): string {
  const calendar = ical({ name, prodId: '//Nazar//Services//EN' });
  for (const { unitId, service, due, last } of services) {
    const unit = units.find(({ id }) => id === unitId);
    if (!unit || due.at === undefined) continue;
    const notes = [
      due.from === 'use' ? 'Estimated from how much the unit is used.' : '',
      service.source ?? '',
      last ? `Last done ${last.at.slice(0, 10)}: ${last.words}` : '',
      'A guide. The manual of the unit comes first.',
    ];
    calendar.createEvent({
      id: `${unitId}-${service.id}@nazar`,
      // What is past due stands today, not in a past that nobody looks at.
      start: new Date(Math.max(due.at, now.getTime())),
      allDay: true,
      stamp: now,
      summary: `${unit.number} ${unit.title}: ${service.title}`,
      description: notes.filter((note) => note !== '').join('\n'),
      transparency: ICalEventTransparency.TRANSPARENT,
    });
  }
  return calendar.toString();
}
