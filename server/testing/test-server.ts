import { generateKeyPairSync } from 'node:crypto';
import { catalogue } from '@nazar/core/content';
import type { AnyEvent, EventType, Payloads } from '@nazar/core/inspection';
import { trailer, truck } from '@nazar/core/testing';
import { hash } from '@node-rs/argon2';
import type { Express } from 'express';
import type { Knex } from 'knex';
import request from 'supertest';
import { v4 as anyId } from 'uuid';
import type { Configuration } from '../configuration';
import { createApp } from '../http/app';
import { toSealKey, type SealKey } from '../report/seal-key';
import { keepCatalogueVersion } from '../store/catalogue-versions';
import { connectAsOwner, connectServing, inOrganisation } from '../store/connection';
import { ensurePartitions } from '../store/partitions';
import { rememberSealKey } from '../store/reports';
import type { Person } from '../store/sessions';
import { nameKey } from '../store/sign-ins';
import { databaseUrl, TEMPLATE } from './database';

export const PIN = '4711';

/** Two organisations, so that walls can be tested; the first has two depots. */
export const north = { id: anyId(), name: 'North Yard' };
export const quay = { id: anyId(), name: 'Quay Depot' };
export const halvern = { id: anyId(), name: 'Halvern District' };
export const abroad = { id: anyId(), name: 'Farholm' };
const abroadDepot = { id: anyId(), name: 'Farholm Yard' };

function person(
  name: string,
  role: Person['role'],
  depotId: string,
  organisationId = halvern.id,
): Person {
  return { id: anyId(), name, role, depotId, organisationId };
}

export const people = {
  imre: person('Imre Dahl', 'driver', north.id),
  tove: person('Tove Brask', 'driver', north.id),
  rasmus: person('Rasmus Feld', 'mechanic', north.id),
  ilka: person('Ilka Moors', 'supervisor', north.id),
  edda: person('Edda Lohm', 'mechanic', north.id),
  jonah: person('Jonah Sterk', 'driver', quay.id),
  henk: person('Henk Lorring', 'mechanic', quay.id),
  stranger: person('Oda Fremd', 'driver', abroadDepot.id, abroad.id),
  strangeSupervisor: person('Ruth Fremd', 'supervisor', abroadDepot.id, abroad.id),
  strangeMechanic: person('Ulf Fremd', 'mechanic', abroadDepot.id, abroad.id),
};

export const quayTruck = { ...truck, id: anyId(), number: '305', plate: 'HD 305 Q' };
export const abroadTruck = { ...truck, id: anyId(), number: '214', plate: 'FF 214' };

export interface TestServer {
  readonly app: Express;
  readonly db: Knex;
  readonly owner: Knex;
  readonly key: SealKey;
  readonly configuration: Configuration;
  /** An HTTP client that is signed in. */
  readonly as: (who: Person) => Promise<ReturnType<typeof request.agent>>;
  /** The next client of this person signs in anew. */
  readonly forget: (who: Person) => void;
  readonly send: (
    who: Person,
    events: readonly unknown[],
  ) => Promise<{ id: string; status: string; code?: string; detail?: string }[]>;
  readonly close: () => Promise<void>;
}

/** A server on a database of its own. Close it at the end of the test file. */
export async function startTestServer(): Promise<TestServer> {
  const name = `test_${anyId().replaceAll('-', '')}`;
  const admin = connectAsOwner(databaseUrl('nazar'));
  await admin.raw(`create database ${name} template ${TEMPLATE}`);
  await admin.destroy();
  const owner = connectAsOwner(databaseUrl(name));
  const db = connectServing(databaseUrl(name), 4);
  const key = toSealKey(generateKeyPairSync('ed25519').privateKey);
  await ensurePartitions(owner, new Date('2026-11-01'), new Date('2026-12-01'));
  await keepCatalogueVersion(db, catalogue);
  await rememberSealKey(db, key.publicKey);
  await insertWorld(owner);
  const configuration: Configuration = {
    databaseUrl: databaseUrl(name),
    port: 0,
    host: '127.0.0.1',
    sealKeyFile: '',
    sessionHours: 8,
    secureCookies: false,
    logLevel: 'silent',
  };
  const app = createApp({ db, key, configuration });
  const agents = new Map<string, ReturnType<typeof request.agent>>();
  const as = async (who: Person) => {
    const known = agents.get(who.id);
    if (known) return known;
    const agent = request.agent(app);
    await agent.post('/api/session').send({ name: who.name, pin: PIN }).expect(200);
    agents.set(who.id, agent);
    return agent;
  };
  return {
    app,
    db,
    owner,
    key,
    configuration,
    as,
    forget: (who) => void agents.delete(who.id),
    send: async (who, events) => {
      const answer = await (await as(who)).post('/api/events').send({ events }).expect(200);
      return answer.body.answers;
    },
    close: async () => {
      await db.destroy();
      await owner.destroy();
    },
  };
}

/** The organisations, depots, people and units that tests share. */
export async function insertWorld(owner: Knex): Promise<void> {
  const pinHash = await hash(PIN, { memoryCost: 1024, timeCost: 1 });
  await owner('organisations').insert([halvern, abroad]);
  const worlds = [
    { organisation: halvern, depots: [north, quay] },
    { organisation: abroad, depots: [abroadDepot] },
  ];
  for (const { organisation, depots } of worlds) {
    const of = { organisation_id: organisation.id };
    await inOrganisation(owner, organisation.id, async (trx) => {
      await trx('depots').insert(depots.map((depot) => ({ ...depot, ...of })));
      await trx('people').insert(
        Object.values(people)
          .filter(({ organisationId }) => organisationId === organisation.id)
          .map(({ id, name, role, depotId }) => ({ id, name, role, depot_id: depotId, ...of })),
      );
      const units =
        organisation === halvern
          ? [
              { ...truck, depotId: north.id },
              { ...trailer, depotId: north.id },
              { ...quayTruck, depotId: quay.id },
            ]
          : [{ ...abroadTruck, depotId: abroadDepot.id }];
      await trx('units').insert(
        units.map((unit) => ({
          id: unit.id,
          number: unit.number,
          title: unit.title,
          plate: unit.plate,
          module_id: unit.moduleId,
          depot_id: unit.depotId,
          specification: JSON.stringify(unit.specification),
          ...of,
        })),
      );
    });
  }
  await inOrganisation(owner, halvern.id, (trx) =>
    trx('rigs').insert({
      id: anyId(),
      organisation_id: halvern.id,
      depot_id: north.id,
      title: '214 with trailer 931',
      unit_ids: [truck.id, trailer.id],
    }),
  );
  for (const { id, name, organisationId } of Object.values(people))
    await owner('sign_ins').insert({
      name_key: nameKey(name),
      person_id: id,
      organisation_id: organisationId,
      pin_hash: pinHash,
    });
}

/** One event after a walk, as somebody's device would send it. */
export function eventAfter<T extends EventType>(
  who: Person,
  inspectionId: string,
  type: T,
  payload: Payloads[T],
  at = Date.now(),
): AnyEvent {
  return {
    id: anyId(),
    inspectionId,
    deviceId: anyId(),
    actorId: who.id,
    at,
    sequence: 1,
    version: 1,
    type,
    payload,
  };
}

/** The same log as a new walk of somebody: new ids, everything else as it is. */
export function asWalkOf(who: Person, events: readonly AnyEvent[], laterBy = 0): AnyEvent[] {
  const inspectionId = anyId();
  const deviceId = anyId();
  return events.map((event) => ({
    ...event,
    id: anyId(),
    inspectionId,
    deviceId,
    actorId: who.id,
    at: event.at + laterBy,
  }));
}
