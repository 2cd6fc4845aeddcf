import { toSi } from '@nazar/core/quantity';
import { v5 as uuidFromName } from 'uuid';

/** Ids that are the same at every rebuild of the demo. */
const NAMESPACE = 'b1d0a1d2-6a5e-5a0c-8f6f-1f2f3a4b5c6d';
export const demoId = (name: string) => uuidFromName(name, NAMESPACE);

export const organisation = { id: demoId('Halvern District'), name: 'Halvern District' };

export const depots = [
  { id: demoId('North Yard'), name: 'North Yard' },
  { id: demoId('Quay Depot'), name: 'Quay Depot' },
];
const [north, quay] = depots;

export interface DemoPerson {
  readonly id: string;
  readonly name: string;
  readonly role: 'driver' | 'mechanic' | 'supervisor';
  readonly depotId: string;
  readonly pin: string;
}

function person(name: string, role: DemoPerson['role'], depotId: string, pin: string): DemoPerson {
  return { id: demoId(`person ${name}`), name, role, depotId, pin };
}

export const people: readonly DemoPerson[] = [
  person('Imre Dahl', 'driver', north.id, '2140'),
  person('Tove Brask', 'driver', north.id, '2180'),
  person('Oskar Wendt', 'driver', north.id, '2230'),
  person('Nela Korin', 'driver', north.id, '2240'),
  person('Rasmus Feld', 'mechanic', north.id, '7001'),
  person('Ilka Moors', 'supervisor', north.id, '9001'),
  person('Jonah Sterk', 'driver', quay.id, '3050'),
  person('Mirela Aune', 'driver', quay.id, '3070'),
  person('Henk Lorring', 'mechanic', quay.id, '7002'),
  person('Sanna Veit', 'supervisor', quay.id, '9002'),
];

const psi = (value: number) => toSi(value, 'psi');
const groove = (value: number) => toSi(value, '32nds');

const truckSpecification = {
  coldPressureSteer: psi(110),
  coldPressureDrive: psi(95),
  treadNewSteer: groove(18),
  treadNewDrive: groove(26),
  chargeVoltageLow: 13.4,
  chargeVoltageHigh: 14.8,
  steeringFreePlay: toSi(14, '°'),
  governorCutOutHigh: psi(145),
  governorCutOutLow: psi(115),
  governorCutInLow: psi(100),
  lowPressureWarning: psi(60),
};

const trailerSpecification = {
  coldPressureTrailer: psi(90),
  treadNewTrailer: groove(16),
  breakawayVoltageLow: 12.4,
};

export interface DemoUnit {
  readonly id: string;
  readonly number: string;
  readonly title: string;
  readonly plate: string;
  readonly moduleId: string;
  readonly depotId: string;
  readonly specification: Readonly<Record<string, number>>;
}

function truck(number: string, title: string, plate: string, depotId: string): DemoUnit {
  return {
    id: demoId(`unit ${number}`),
    number,
    title,
    plate,
    depotId,
    moduleId: 'straight-truck-air',
    specification: truckSpecification,
  };
}

function trailer(number: string, title: string, plate: string, depotId: string): DemoUnit {
  return {
    id: demoId(`unit ${number}`),
    number,
    title,
    plate,
    depotId,
    moduleId: 'tag-trailer-air',
    specification: trailerSpecification,
  };
}

export const units: readonly DemoUnit[] = [
  truck('214', 'flatbed truck', 'HD 214 N', north.id),
  truck('218', 'flatbed truck', 'HD 218 N', north.id),
  truck('223', 'stake truck', 'HD 223 N', north.id),
  trailer('931', 'tag trailer', 'HT 931 N', north.id),
  trailer('934', 'tag trailer', 'HT 934 N', north.id),
  truck('305', 'goods truck', 'HD 305 Q', quay.id),
  truck('307', 'goods truck', 'HD 307 Q', quay.id),
  trailer('941', 'tag trailer', 'HT 941 Q', quay.id),
];

export function unitByNumber(number: string): DemoUnit {
  const found = units.find((unit) => unit.number === number);
  if (!found) throw new RangeError(`No demo unit ${number}.`);
  return found;
}

export interface DemoRig {
  readonly title: string;
  readonly numbers: readonly string[];
  readonly driver: string;
}

export const rigs: readonly DemoRig[] = [
  { title: '214 with trailer 931', numbers: ['214', '931'], driver: 'Imre Dahl' },
  { title: '218', numbers: ['218'], driver: 'Tove Brask' },
  { title: '223 with trailer 934', numbers: ['223', '934'], driver: 'Oskar Wendt' },
  { title: '305 with trailer 941', numbers: ['305', '941'], driver: 'Jonah Sterk' },
  { title: '307', numbers: ['307'], driver: 'Mirela Aune' },
];
