import { randomUUID } from 'node:crypto';
import { expect, type Page } from '@playwright/test';
import { faultOf, instanceOf, makeRig, signature, walkSound } from '@nazar/core/testing';
import { address } from './driver';

export interface SentFault {
  /** End of the key of the check. */
  readonly on: string;
  readonly symptom: string;
}

/**
 * A signed walk of whoever is signed in on this page, sent as their phone would send it; for journeys that
 * begin where a walk has ended. Resolves with the id of the inspection, which is the first unit's report.
 */
export async function sendWalk(
  page: Page,
  rigTitle: RegExp,
  faults: readonly SentFault[] = [],
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
  const log = walkSound(rig);
  for (const { on, symptom } of faults)
    log.add('faulted', faultOf(instanceOf(rig, on), symptom, { defectId: randomUUID() }));
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
