import { type Circumstance, type Phase, type Symptom } from '@nazar/core/catalogue';
import { catalogue } from '@nazar/core/content';
import { chosenPolicyId, findObjections, type PolicyChoice } from '@nazar/core/grading';
import {
  circumstancesOf,
  fold,
  requiredTags,
  type AnyEvent,
  type InspectionEvent,
  type Payloads,
} from '@nazar/core/inspection';
import { orderWalk } from '@nazar/core/planning';
import { composeRig, type CheckInstance } from '@nazar/core/rig';
import { standOf } from '@nazar/core/standing';
import { v7 as uuidAt } from 'uuid';
import type { Chance } from './chance';
import { drawSignature } from './signature';
import { readAt } from './wear';
import type { DemoPerson, DemoUnit } from './world';

export interface FaultPlan {
  /** End of the check instance's key, after the unit. */
  readonly on: string;
  readonly symptom: string;
  readonly step?: string;
  readonly note?: string;
  readonly fixed?: string;
  readonly photo?: boolean;
}

export interface WalkPlan {
  readonly driver: DemoPerson;
  readonly units: readonly DemoUnit[];
  readonly phase: Phase;
  readonly begin: number;
  readonly circumstances: readonly Circumstance[];
  readonly temperatureC: number;
  readonly place: string;
  /** Since the demo began, and the odometer then. */
  readonly kilometres: number;
  readonly startKilometres: number;
  readonly days: number;
  readonly hoursOut: number;
  readonly faults: readonly FaultPlan[];
  /** Repairs to acknowledge. */
  readonly acknowledge: readonly string[];
  readonly choice: PolicyChoice;
  /** Code of the tag of a stop. */
  readonly codeOf?: (zone: string) => string | undefined;
}

export interface MadeWalk {
  readonly inspectionId: string;
  readonly events: readonly InspectionEvent[];
  readonly photos: readonly { readonly id: string; readonly symptom: string }[];
}

/** The log of a walk as a phone would have written it. */
export function makeWalk(
  plan: WalkPlan,
  chance: Chance,
  deviceId: string,
  firstSequence: number,
): MadeWalk {
  let at = plan.begin;
  let sequence = firstSequence;
  const id = () => uuidAt({ msecs: at, seq: sequence, random: chance.bytes(16) });
  const inspectionId = id();
  const events: InspectionEvent[] = [];
  const photos: { id: string; symptom: string }[] = [];
  const add = <T extends keyof Payloads>(type: T, payload: Payloads[T]) => {
    sequence += 1;
    events.push({
      id: id(),
      inspectionId,
      deviceId,
      actorId: plan.driver.id,
      at,
      sequence,
      version: 1,
      type,
      payload,
    } as InspectionEvent);
  };
  const rig = composeRig({ ...plan, catalogue });
  const tags = requiredTags(rig, plan.phase);
  const policyOf = (vehicleClass: Parameters<typeof chosenPolicyId>[1]) =>
    chosenPolicyId(plan.choice, vehicleClass);
  add('begun', {
    unitIds: plan.units.map((unit) => unit.id),
    phase: plan.phase,
    catalogueVersion: catalogue.version,
    policyId: policyOf(rig.units[0].module.vehicleClass),
    policies: Object.fromEntries(
      rig.units.map(({ unit, module }) => [unit.id, policyOf(module.vehicleClass)]),
    ),
    ...(rig.towing && { job: { needs: ['tow' as const] } }),
    circumstances: plan.circumstances.filter((each) => each !== 'towing'),
    temperatureC: plan.temperatureC,
    place: plan.place,
  });
  for (const defectId of plan.acknowledge) {
    at += 9_000;
    add('acknowledged', { defectId });
  }
  for (const stop of orderWalk(rig)) {
    at += 15_000;
    const code = tags.has(stop.zone.key) ? plan.codeOf?.(stop.zone.key) : undefined;
    if (code) add('present', { zone: stop.zone.key, code, how: 'camera' });
    for (const instance of stop.instances) {
      at += Math.round(instance.check.seconds * chance.about(900, 120));
      answer(instance, plan, chance, add, at, photos);
    }
  }
  const look = () => {
    const inspection = fold(inspectionId, events as AnyEvent[]);
    const { begun } = inspection;
    if (!begun) throw new RangeError('A walk begins with its beginning.');
    const { units, choice } = plan;
    const reference = { catalogue, units, choice, own: [], defects: [] };
    return { inspection, begun, ...standOf(inspection, reference, rig).assessment };
  };
  // Too close to a limit to tell: measured once more, as the phone would ask.
  for (const { key } of look().missing) {
    at += 20_000;
    const before = events.findLast(
      (event) => event.type === 'measured' && event.payload.key === key,
    );
    if (before?.type === 'measured') add('measured', before.payload);
  }
  const { inspection, begun, verdict, findings } = look();
  at += 30_000;
  add('signed', {
    signature: drawSignature(plan.driver.name, chance),
    headline: verdict.headline,
  });
  const needs = begun.job?.needs ?? [];
  const objections =
    plan.phase === 'pre-trip'
      ? findObjections({
          verdict,
          findings,
          needs,
          circumstances: circumstancesOf(inspection, rig),
          officerReleases: false,
          released: false,
        })
      : undefined;
  // What has to be done before leaving is done, where nothing else keeps it.
  const toDo = objections?.filter((each) => each.code === 'before-leaving') ?? [];
  if (objections?.length === toDo.length) {
    for (const { finding } of toDo) {
      at += 60_000;
      add('looked-again', { about: finding.about });
    }
    at += 90_000;
    add('signed-out', { purpose: 'job', needs, conditions: verdict.conditions });
    at += plan.hoursOut * 3_600_000;
    add('returned', {});
  }
  return { inspectionId, events, photos };
}

function answer(
  instance: CheckInstance,
  plan: WalkPlan,
  chance: Chance,
  add: <T extends keyof Payloads>(type: T, payload: Payloads[T]) => void,
  at: number,
  photos: { id: string; symptom: string }[],
): void {
  const { key, unit, check } = instance;
  const fault = plan.faults.find(({ on }) => key === `${unit.id}/${on}`);
  const reading = readAt(instance, plan.kilometres, plan.startKilometres, plan.days, chance);
  const measures =
    check.reading && reading && (check.reading.required || plan.phase === 'post-trip');
  if (measures)
    add('measured', {
      key,
      value: reading.value,
      unit: reading.unit,
      typed: reading.typed,
      instrument: 'gauge',
    });
  if (fault) {
    const photo = fault.photo
      ? [{ id: uuidAt({ msecs: at, random: chance.bytes(16) }), width: 1200, height: 900 }]
      : [];
    for (const { id } of photo) photos.push({ id, symptom: symptomOf(instance, fault).words });
    add('faulted', {
      key,
      defectId: uuidAt({ msecs: at, random: chance.bytes(16) }),
      symptomId: fault.symptom,
      ...(fault.step && { stepId: fault.step }),
      ...(instance.place && { spot: { x: instance.place.x, y: instance.place.y } }),
      ...(fault.note && { note: fault.note }),
      ...(fault.fixed && { fixed: fault.fixed }),
      photos: photo,
    });
  } else if (!measures) {
    if (instance.contents)
      add('counted', {
        key,
        items: instance.contents.map(({ id, count, expires }) => ({
          id,
          found: count,
          ...(expires && { until: '2028-06-30' }),
        })),
      });
    add('answered', { key, outcome: 'sound' });
  }
}

function symptomOf(instance: CheckInstance, fault: FaultPlan): Symptom {
  const found = instance.check.symptoms.find(({ id }) => id === fault.symptom);
  if (!found) throw new RangeError(`${instance.check.id} knows no ${fault.symptom}.`);
  return found;
}
