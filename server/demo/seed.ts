import { catalogue } from '@nazar/core/content';
import type { CertifiedPayload, InspectionEvent } from '@nazar/core/inspection';
import { findModuleOfUnit } from '@nazar/core/rig';
import { hash } from '@node-rs/argon2';
import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { v7 as uuidAt } from 'uuid';
import { takeIn } from '../intake/take-in';
import { sealAdditions, sealInspection } from '../report/seal-pending';
import type { SealKey } from '../report/seal-key';
import { keepCatalogueVersion } from '../store/catalogue-versions';
import { inOrganisation } from '../store/connection';
import { ensurePartitions } from '../store/partitions';
import { keepPhoto } from '../store/photos';
import { nameKey } from '../store/sign-ins';
import { ensureTags, listTags } from '../store/tags';
import { seededChance, type Chance } from './chance';
import { mended, recurring, standing, trailerFaults, truckFaults } from './fault-plans';
import { makePicture } from './pictures';
import { drawSignature } from './signature';
import { seedUpkeep } from './upkeep';
import { makeWalk, type FaultPlan, type WalkPlan } from './walk';
import {
  demoId,
  depots,
  organisation,
  people,
  rigs,
  unitByNumber,
  units,
  type DemoPerson,
  type DemoRig,
} from './world';

const DAY = 86_400_000;
const DAYS = 60;

export interface SeedRequest {
  /** Owner connection for the fixed tables and partitions. */
  readonly owner: Knex;
  /** Serving connection: walks go the same way as real ones. */
  readonly db: Knex;
  readonly key: SealKey;
  readonly now: Date;
  readonly seed?: number;
  /** Called after each walk. */
  readonly onProgress?: (done: number, of: number) => void;
}

/** Builds Halvern District: units, people, sixty days of walks, defects and repairs. */
export async function seedDemo(request: SeedRequest): Promise<void> {
  const { owner, db, key, now } = request;
  const chance = seededChance(request.seed ?? 20_261_125);
  await ensurePartitions(
    owner,
    new Date(now.getTime() - (DAYS + 5) * DAY),
    new Date(now.getTime() + 70 * DAY),
  );
  await keepCatalogueVersion(owner, catalogue);
  await insertWorld(owner);
  const codes = await seedTags(db);
  const codeOf = (zone: string) => codes.get(zone);
  const plans = planDays(now, chance);
  let sequence = 0;
  let done = 0;
  for (const plan of plans) {
    sequence += 1000;
    const acknowledge = await unreadOf(db, plan);
    const device = demoId(`device ${plan.driver.name}`);
    const walk = makeWalk({ ...plan, acknowledge, codeOf }, chance, device, sequence);
    await keepPictures(db, walk, chance);
    const answers = await takeIn(db, asPerson(plan.driver), walk.events, {
      arrivedAt: Math.max(...walk.events.map(({ at }) => at)),
    });
    const refused = answers.find((answer) => answer.status === 'refused');
    if (refused) throw new Error(`The demo's own walk was refused: ${JSON.stringify(refused)}`);
    const ended = walk.events.findLast(({ type }) => type === 'signed')?.at ?? plan.begin;
    await sealInspection(db, key, organisation.id, walk.inspectionId, new Date(ended + 4000));
    await sealAdditions(db, key, organisation.id, walk.inspectionId, new Date(ended + 9000));
    await mend(request, plan, chance, ended);
    done += 1;
    request.onProgress?.(done, plans.length);
  }
  await seedUpkeep(db, now, chance);
}

/** A tag for every stop of every unit, as a yard has that has printed its sheets. */
async function seedTags(db: Knex): Promise<ReadonlyMap<string, string>> {
  const stops = units.flatMap((unit) =>
    (findModuleOfUnit(unit, catalogue)?.zones ?? []).map(({ id }) => ({
      unitId: unit.id,
      zoneId: id,
    })),
  );
  return inOrganisation(db, organisation.id, async (trx) => {
    await ensureTags(trx, organisation.id, stops);
    const tags = await listTags(
      trx,
      units.map(({ id }) => id),
    );
    return new Map(tags.map(({ unitId, zoneId, code }) => [`${unitId}/${zoneId}`, code]));
  });
}

function asPerson(person: DemoPerson) {
  return { ...person, organisationId: organisation.id };
}

async function insertWorld(owner: Knex): Promise<void> {
  await owner('organisations').insert({ ...organisation, units_habit: 'customary' });
  const inHalvern = { organisation_id: organisation.id };
  await inOrganisation(owner, organisation.id, async (trx) => {
    await trx('depots').insert(
      depots.map(({ id, name, choice }) => ({
        id,
        name,
        policy_id: choice.usual,
        policies_by_class: JSON.stringify(choice.byClass),
        ...inHalvern,
      })),
    );
    await trx('people').insert(
      people.map(({ id, name, role, depotId }) => ({
        id,
        name,
        role,
        depot_id: depotId,
        ...inHalvern,
      })),
    );
    await trx('units').insert(
      units.map((unit) => ({
        id: unit.id,
        number: unit.number,
        title: unit.title,
        plate: unit.plate,
        module_id: unit.moduleId,
        fitted: [...(unit.fitted ?? [])],
        depot_id: unit.depotId,
        specification: JSON.stringify(unit.specification),
        card: unit.card ? JSON.stringify(unit.card) : null,
        ...inHalvern,
      })),
    );
    await trx('rigs').insert(
      rigs.map((rig) => ({
        id: demoId(`rig ${rig.title}`),
        title: rig.title,
        depot_id: unitByNumber(rig.numbers[0]).depotId,
        unit_ids: rig.numbers.map((number) => unitByNumber(number).id),
        ...inHalvern,
      })),
    );
  });
  for (const person of people)
    await owner('sign_ins').insert({
      name_key: nameKey(person.name),
      person_id: person.id,
      organisation_id: organisation.id,
      pin_hash: await hash(person.pin, { memoryCost: 19_456, timeCost: 2 }),
    });
}

/** Every rig goes out on most weekdays of its own rhythm; yesterday's walks set what stands open today. */
function planDays(now: Date, chance: Chance): WalkPlan[] {
  const midnight = Date.UTC(now.getUTCFullYear(), now.getUTCMonth(), now.getUTCDate());
  const kilometres = new Map<string, number>();
  const plans: WalkPlan[] = [];
  for (let day = DAYS; day >= 1; day -= 1)
    rigs.forEach((rig, index) => {
      const last = day === 1;
      const mending = day === 2 && mended[rig.numbers[0]] !== undefined;
      if (day > (rig.lastDays ?? DAYS)) return;
      if (!last && !mending && (day + index) % 4 !== 0) return;
      if (last && mended[rig.numbers[0]] !== undefined) return;
      const driven = kilometres.get(rig.title) ?? 0;
      const begin =
        midnight - day * DAY + (4 + chance.whole(0, 2)) * 3_600_000 + chance.whole(0, 40) * 60_000;
      const faults = last
        ? standingFaults(rig)
        : mending
          ? [mended[rig.numbers[0]]]
          : [...someFaults(rig, chance), ...recurringFaults(rig, day)];
      plans.push(plan(rig, 'pre-trip', begin, DAYS - day, driven, faults, chance));
      const added = chance.whole(90, 260);
      kilometres.set(rig.title, driven + added);
      if (day % 3 === 0 && !last)
        plans.push(
          plan(rig, 'post-trip', begin + 9 * 3_600_000, DAYS - day, driven + added, [], chance),
        );
    });
  return plans.sort((a, b) => a.begin - b.begin);
}

function plan(
  rig: DemoRig,
  phase: 'pre-trip' | 'post-trip',
  begin: number,
  days: number,
  kilometres: number,
  faults: readonly FaultPlan[],
  chance: Chance,
): WalkPlan {
  const driver = people.find(({ name }) => name === rig.driver);
  if (!driver) throw new RangeError(`No demo person ${rig.driver}.`);
  const temperatureC = Math.round(9 - days / 6 + chance.about(0, 2));
  const wet = chance.share() < 0.3;
  return {
    driver,
    phase,
    begin,
    days,
    kilometres,
    faults,
    temperatureC,
    units: rig.numbers.map(unitByNumber),
    circumstances: [
      ...(phase === 'pre-trip' ? (['dark'] as const) : []),
      ...(wet ? (['wet'] as const) : []),
      ...(temperatureC <= 0 ? (['freezing'] as const) : []),
    ],
    place: depots.find(({ id }) => id === driver.depotId)?.name ?? '',
    startKilometres: 120_000 + Number(rig.numbers[0]) * 137,
    acknowledge: [],
    choice: depots.find(({ id }) => id === driver.depotId)?.choice ?? depots[0].choice,
    hoursOut: chance.whole(5, 7),
  };
}

function onRig(rig: DemoRig, faults: readonly FaultPlan[]): FaultPlan[] {
  const modules = rig.numbers.map((number) => unitByNumber(number).moduleId);
  return faults.filter(({ on }) =>
    modules.includes(on.startsWith('truck.') ? 'straight-truck-air' : 'tag-trailer-air'),
  );
}

function someFaults(rig: DemoRig, chance: Chance): FaultPlan[] {
  if (chance.share() < 0.55) return [];
  const possible = onRig(rig, [...truckFaults, ...trailerFaults]);
  // Other equipment breaks down too, but not in these two weeks.
  if (possible.length === 0) return [];
  const first = chance.pick(possible);
  const second = chance.pick(possible);
  return chance.share() < 0.25 && first !== second ? [first, second] : [first];
}

/** A part that the workshop mends again and again: it makes the unit's weak spot. */
function recurringFaults(rig: DemoRig, day: number): FaultPlan[] {
  return rig.numbers.flatMap((number) => (day % 12 < 4 ? (recurring[number] ?? []) : []));
}

function standingFaults(rig: DemoRig): FaultPlan[] {
  return rig.numbers.flatMap((number) => standing[number] ?? []);
}

async function unreadOf(db: Knex, { units: ofRig, begin }: WalkPlan): Promise<string[]> {
  const rows = await inOrganisation(db, organisation.id, (trx) =>
    trx('defects')
      .whereIn(
        'unit_id',
        ofRig.map(({ id }) => id),
      )
      .whereIn('status', ['repaired', 'no-repair-needed'])
      .where('certified_at', '<', new Date(begin))
      .select('id'),
  );
  return rows.map((row) => row.id as string);
}

async function keepPictures(
  db: Knex,
  walk: ReturnType<typeof makeWalk>,
  chance: Chance,
): Promise<void> {
  for (const { id } of walk.photos) {
    const bytes = await makePicture(chance);
    await inOrganisation(db, organisation.id, (trx) =>
      keepPhoto(trx, {
        sentBy: walk.events[0].actorId,
        id,
        organisationId: organisation.id,
        inspectionId: walk.inspectionId,
        sha256: createHash('sha256').update(bytes).digest('hex'),
        width: 1200,
        height: 900,
        bytes,
      }),
    );
  }
}

/** The depot's mechanic mends what the walk found, the same day, unless it stands open on purpose. */
async function mend(
  request: SeedRequest,
  plan: WalkPlan,
  chance: Chance,
  ended: number,
): Promise<void> {
  const { db, key } = request;
  // What yesterday's walks found stands open today, whatever the hour.
  if (plan.days >= DAYS - 1) return;
  const mechanic = people.find(
    ({ role, depotId }) => role === 'mechanic' && depotId === plan.driver.depotId,
  );
  if (!mechanic) return;
  const open = await inOrganisation(db, organisation.id, (trx) =>
    trx('defects')
      .whereIn(
        'unit_id',
        plan.units.map(({ id }) => id),
      )
      .where({ status: 'open' })
      .select('id', 'inspection_id', 'grade', 'key'),
  );
  let at = ended + chance.whole(2, 6) * 3_600_000;
  const events = open.map((row, index): InspectionEvent => {
    at += chance.whole(20, 50) * 60_000;
    return {
      id: uuidAt({ msecs: at, random: chance.bytes(16) }),
      inspectionId: row.inspection_id,
      deviceId: demoId(`device ${mechanic.name}`),
      actorId: mechanic.id,
      at,
      sequence: (Math.floor(at / 1000) % 1_000_000_000) + index,
      version: 1,
      type: 'certified',
      payload: outcome(row, mechanic, plan, chance),
    };
  });
  const answers = await takeIn(db, asPerson(mechanic), events, { arrivedAt: at });
  const refused = answers.find((answer) => answer.status === 'refused');
  if (refused) throw new Error(`The demo's own repair was refused: ${JSON.stringify(refused)}`);
  for (const id of new Set(open.map((row) => row.inspection_id as string)))
    await sealAdditions(db, key, organisation.id, id, new Date(at + 5000));
}

function outcome(
  row: { id: string; grade: string; key: string },
  mechanic: DemoPerson,
  plan: WalkPlan,
  chance: Chance,
): CertifiedPayload {
  const signature = drawSignature(mechanic.name, chance);
  const scripted = Object.values(mended).find(({ on }) => row.key.endsWith(on));
  if (scripted && plan.faults.includes(scripted))
    return { defectId: row.id, outcome: 'repaired', words: scripted.words, signature };
  if (row.grade === 'note')
    return {
      defectId: row.id,
      outcome: 'no-repair-needed',
      words: 'Looked at, within limits, watched.',
      signature,
    };
  return {
    defectId: row.id,
    outcome: 'repaired',
    words: chance.pick(['Part renewed and tried.', 'Tightened and secured.', 'Mended and tested.']),
    signature,
  };
}
