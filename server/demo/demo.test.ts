import { verifyReport, toFileText } from '@nazar/core/seal';
import { generateKeyPairSync } from 'node:crypto';
import { toSealKey } from '../report/seal-key';
import { connectAsOwner, connectServing, inOrganisation } from '../store/connection';
import { findReport } from '../store/reports';
import { databaseUrl, TEMPLATE } from '../testing/database';
import { people, units, organisation } from './world';
import { seedDemo } from '.';

const name = 'test_demo';
const key = toSealKey(generateKeyPairSync('ed25519').privateKey);
let owner: ReturnType<typeof connectAsOwner>;
let db: ReturnType<typeof connectServing>;

beforeAll(async () => {
  const admin = connectAsOwner(databaseUrl('nazar'));
  await admin.raw(`create database ${name} template ${TEMPLATE}`);
  await admin.destroy();
  owner = connectAsOwner(databaseUrl(name));
  db = connectServing(databaseUrl(name));
  await seedDemo({ owner, db, key, now: new Date() });
}, 120_000);
afterAll(async () => {
  await db.destroy();
  await owner.destroy();
});

const inHalvern = <T>(work: Parameters<typeof inOrganisation<T>>[2]) =>
  inOrganisation(owner, organisation.id, work);

describe('Halvern District', () => {
  it('is big enough to feel real', async () => {
    expect(units.length).toBeGreaterThanOrEqual(6);
    expect(people.length).toBeGreaterThanOrEqual(10);
    const walks = await inHalvern((trx) => trx('inspections').select('report_id', 'headline'));
    expect(walks.length).toBeGreaterThanOrEqual(60);
    expect(walks.every(({ report_id: report }) => report !== null)).toBe(true);
    expect(new Set(walks.map(({ headline }) => headline))).toEqual(
      new Set(['rolls', 'limits', 'stays']),
    );
  });

  it('has defects open, mended and waiting to be read', async () => {
    const rows = await inHalvern((trx) =>
      trx('defects').select('status').count('* as count').groupBy('status'),
    );
    const counts = Object.fromEntries(rows.map((row) => [row.status, Number(row.count)]));
    expect(counts.open).toBeGreaterThanOrEqual(4);
    expect(counts.repaired).toBeGreaterThanOrEqual(1);
    expect(counts.closed).toBeGreaterThanOrEqual(10);
    expect(counts.fixed).toBeGreaterThanOrEqual(1);
  });

  it('ends yesterday, relative to today', async () => {
    const [row] = await inHalvern((trx) => trx('inspections').max('begun_at as last'));
    const hours = (Date.now() - (row.last as Date).getTime()) / 3_600_000;
    expect(hours).toBeGreaterThan(0);
    expect(hours).toBeLessThan(49);
  });

  it('wears as tyres and odometers do', async () => {
    const series = async (ending: string) => {
      const rows = await inHalvern((trx) =>
        trx('readings')
          .where('key', 'like', `%${ending}`)
          .where({ unit_id: units[0].id })
          .orderBy('at')
          .select('value'),
      );
      return rows.map(({ value }) => Number(value));
    };
    const odometer = await series('records.odometer');
    expect(odometer.length).toBeGreaterThan(10);
    odometer
      .slice(1)
      .forEach((value, index) => expect(value).toBeGreaterThanOrEqual(odometer[index]));
    const tread = await series('tread-steer/steer-left');
    const mean = (values: number[]) =>
      values.reduce((sum, value) => sum + value, 0) / values.length;
    const third = Math.floor(tread.length / 3);
    expect(mean(tread.slice(-third))).toBeLessThan(mean(tread.slice(0, third)));
  });

  it('has reports whose seals hold', async () => {
    await inHalvern(async (trx) => {
      const rows = await trx('reports').orderBy('sealed_at', 'desc').limit(5).select('id');
      for (const { id } of rows) {
        const found = await findReport(trx, id);
        if (!found) throw new Error(id);
        const { report, seal, additions } = found;
        expect(verifyReport(toFileText({ report, seal, additions }), [key.publicKey]).outcome).toBe(
          'intact',
        );
      }
    });
  });
});
