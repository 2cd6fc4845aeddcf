import { type Circumstance, type Phase } from '../catalogue';
import { catalogue } from '../content';
import type { AnyEvent, EventType, Job, Payloads } from '../inspection';
import { toSi } from '../quantity';
import { composeRig, type CheckInstance, type Rig, type Unit } from '../rig';

/** Made-up units and events that tests share. */
export const truck: Unit = {
  id: '01900000-0000-7000-8000-000000000214',
  number: '214',
  title: 'flatbed truck',
  plate: 'HD 214 N',
  moduleId: 'straight-truck-air',
  specification: {
    coldPressureSteer: toSi(110, 'psi'),
    coldPressureDrive: toSi(95, 'psi'),
    treadNewSteer: toSi(18, '32nds'),
    treadNewDrive: toSi(26, '32nds'),
    chargeVoltageLow: 13.4,
    chargeVoltageHigh: 14.8,
    steeringFreePlay: toSi(14, '°'),
    governorCutOutHigh: toSi(145, 'psi'),
    governorCutOutLow: toSi(115, 'psi'),
    governorCutInLow: toSi(100, 'psi'),
    lowPressureWarning: toSi(60, 'psi'),
  },
};

export const trailer: Unit = {
  id: '01900000-0000-7000-8000-000000000931',
  number: '931',
  title: 'tag trailer',
  plate: 'HT 931 N',
  moduleId: 'tag-trailer-air',
  specification: {
    coldPressureTrailer: toSi(90, 'psi'),
    treadNewTrailer: toSi(16, '32nds'),
    breakawayVoltageLow: 12.4,
  },
};

export const driver = '01900000-0000-7000-8000-0000000000d1';
export const mechanic = '01900000-0000-7000-8000-0000000000d2';
export const phone = '01900000-0000-7000-8000-0000000000e1';
export const walkId = '01900000-0000-7000-8000-0000000000f1';
export const startsAt = Date.UTC(2026, 10, 25, 5, 0);

export function makeRig(
  units: readonly Unit[] = [truck, trailer],
  phase: Phase = 'pre-trip',
  circumstances: readonly Circumstance[] = [],
): Rig {
  return composeRig({ units, phase, circumstances, catalogue });
}

/** A log writer with its own clock and ids. */
export function makeLog(deviceId = phone, inspectionId = walkId) {
  const events: AnyEvent[] = [];
  return {
    events,
    add<T extends EventType>(
      type: T,
      payload: Payloads[T],
      actorId = driver,
      at?: number,
    ): AnyEvent {
      const sequence = events.length + 1;
      const event: AnyEvent = {
        id: makeId(sequence, deviceId),
        inspectionId,
        deviceId,
        actorId,
        at: at ?? startsAt + sequence * 1000,
        sequence,
        version: 1,
        type,
        payload,
      };
      events.push(event);
      return event;
    },
  };
}

/** A well-formed id that is the same for the same number and device. */
export function makeId(number: number, deviceId = phone): string {
  return `01900000-0000-7000-8${deviceId.slice(-3)}-${number.toString(16).padStart(12, '0')}`;
}

export const signature = { name: 'Imre Dahl', strokes: [[100, 200, 300, 250, 500, 120]] };

const READINGS: Readonly<Record<string, readonly [number, Payloads['measured']['unit']]>> = {
  'truck.tyre.tread-steer': [13, '32nds'],
  'truck.tyre.pressure-steer': [110, 'psi'],
  'truck.records.odometer': [96_000, 'mi'],
  'truck.electrical.charge': [14.1, 'V'],
  'truck.steering.free-play': [6, '°'],
  'truck.air.full-charge': [128, 'psi'],
  'truck.air.leak-released': [1.2, 'psi/min'],
  'truck.air.leak-applied': [1.9, 'psi/min'],
  'truck.air.warning': [66, 'psi'],
  'truck.air.automatic': [33, 'psi'],
  'truck.air.build-up': [31, 's'],
  'truck.air.cut-in': [106, 'psi'],
  'tag-trailer.coupling.breakaway-battery': [12.8, 'V'],
  'plow.edge.depth': [120, 'mm'],
  'underbody.edge.depth': [120, 'mm'],
  'wing.edge.depth': [120, 'mm'],
};

export function measuredOf(
  key: string,
  value: number,
  unit: Payloads['measured']['unit'],
): Payloads['measured'] {
  return { key, value: toSi(value, unit), unit, typed: String(value), instrument: 'gauge' };
}

export function begunOf(
  rig: Rig,
  circumstances: readonly Circumstance[] = [],
  job?: Job,
): Payloads['begun'] {
  return {
    ...(job && { job }),
    unitIds: rig.units.map(({ unit }) => unit.id),
    phase: 'pre-trip',
    catalogueVersion: catalogue.version,
    policyId: 'two-step',
    circumstances: circumstances.filter((each) => each !== 'towing'),
  };
}

/** Everything of its list is there, and in date. */
export function countedOf({ key, contents = [] }: CheckInstance): Payloads['counted'] {
  return {
    key,
    items: contents.map(({ id, count, expires }) => ({
      id,
      found: count,
      ...(expires && { until: '2099-12-31' }),
    })),
  };
}

type Log = ReturnType<typeof makeLog>;

/** Answers one check as sound, with a good reading where one is required. */
export function answerSound(log: Log, instance: CheckInstance): void {
  if (instance.contents) log.add('counted', countedOf(instance));
  const reading = instance.check.reading?.required ? READINGS[instance.check.id] : undefined;
  if (reading) log.add('measured', measuredOf(instance.key, ...reading));
  else log.add('answered', { key: instance.key, outcome: 'sound' });
}

/** A whole walk with nothing wrong, not signed yet. */
export function walkSound(rig: Rig, circumstances: readonly Circumstance[] = [], job?: Job): Log {
  const log = makeLog();
  log.add('begun', begunOf(rig, circumstances, job));
  for (const instance of rig.instances) answerSound(log, instance);
  return log;
}

export function instanceOf(rig: Rig, ending: string): CheckInstance {
  const found = rig.instances.find(({ key }) => key.endsWith(ending));
  if (!found) throw new RangeError(`No check ends in ${ending}.`);
  return found;
}

export function faultOf(
  instance: CheckInstance,
  symptomId: string,
  more: Partial<Payloads['faulted']> = {},
): Payloads['faulted'] {
  return {
    key: instance.key,
    defectId: makeId(instance.key.length * 1000 + symptomId.length),
    symptomId,
    photos: [],
    ...more,
  };
}
