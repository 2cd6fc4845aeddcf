import { randomUUID } from 'node:crypto';
import { expect, type Page } from '@playwright/test';
import type { Job } from '@nazar/core/inspection';
import { UNREAD_STATUSES } from '@nazar/core/catalogue';
import type { VehicleChange } from '@nazar/core/vehicle';
import { faultOf, instanceOf, makeRig, signature, walkSound } from '@nazar/core/testing';
import { address } from './driver';

export interface SentFault {
  /** End of the key of the check. */
  readonly on: string;
  readonly symptom: string;
}

type PlannedJob = Job & { readonly unitIds: readonly string[] };

interface SentWalk {
  readonly faults?: readonly SentFault[];
  /** Begun for the job that is planned for the rig. */
  readonly forJob?: boolean;
  /** Every repair on the rig is acknowledged. */
  readonly reads?: boolean;
  /** What the driver found to stand otherwise on the first unit, and left so. */
  readonly found?: readonly VehicleChange[];
}

/**
 * A signed walk of whoever is signed in on this page, sent as their phone would send it; for journeys that
 * begin where a walk has ended. Resolves with the id of the inspection, which is the first unit's report.
 */
export async function sendWalk(
  page: Page,
  rigTitle: RegExp,
  { faults = [], forJob = false, reads = false, found = [] }: SentWalk = {},
): Promise<string> {
  const { request } = page.context();
  const reference = await (await request.get(address('/api/reference'))).json();
  const { person } = await (await request.get(address('/api/session'))).json();
  const usual = reference.rigs.find(({ title }: { title: string }) => rigTitle.test(title));
  const rig = makeRig(
    usual.unitIds.map((id: string) =>
      reference.units.find((unit: { id: string }) => unit.id === id),
    ),
  );
  const isAboard = ({ unitId }: { unitId: string }) => usual.unitIds.includes(unitId);
  const job =
    forJob &&
    reference.jobs.find((each: PlannedJob) => each.unitIds.some((unitId) => isAboard({ unitId })));
  const log = walkSound(rig, [], job ? { title: job.title, needs: job.needs } : undefined);
  if (reads)
    for (const { id, status } of reference.defects.filter(isAboard))
      if (UNREAD_STATUSES.includes(status)) log.add('acknowledged', { defectId: id });
  for (const { on, symptom } of faults)
    log.add('faulted', faultOf(instanceOf(rig, on), symptom, { defectId: randomUUID() }));
  for (const change of found) log.add('changed', { change, unitId: usual.unitIds[0], found: true });
  log.add('signed', { signature: { ...signature, name: person.name }, headline: 'limits' });
  const inspectionId = randomUUID();
  const deviceId = randomUUID();
  // The walk has just ended.
  const later = Date.now() - 1000 - Math.max(...log.events.map(({ at }) => at));
  const events = log.events.map((event) => ({
    ...event,
    id: randomUUID(),
    inspectionId,
    deviceId,
    actorId: person.id,
    at: event.at + later,
  }));
  const sent = await request.post(address('/api/events'), { data: { events } });
  const { answers } = await sent.json();
  expect(answers.filter(({ status }: { status: string }) => status !== 'stored')).toEqual([]);
  return inspectionId;
}
