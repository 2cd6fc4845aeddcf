import { demoId } from './demo-id';
import { garage, north, quay, station } from './depots';

export const organisation = { id: demoId('Halvern District'), name: 'Halvern District' };

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
  person('Arvid Noll', 'driver', north.id, '2110'),
  person('Petra Lunde', 'driver', north.id, '2160'),
  person('Edda Rask', 'mechanic', north.id, '7003'),
  person('Ivo Stamm', 'driver', quay.id, '3110'),
  person('Lene Hauk', 'driver', quay.id, '3200'),
  person('Tarik Brun', 'driver', quay.id, '3300'),
  person('Marit Sund', 'driver', station.id, '4010'),
  person('Joren Falk', 'driver', station.id, '4020'),
  person('Silje Orre', 'driver', station.id, '4030'),
  person('Ragnar Klint', 'mechanic', station.id, '7004'),
  person('Vera Holm', 'supervisor', station.id, '9003'),
  person('Gustav Ree', 'driver', garage.id, '8010'),
  person('Nina Aasen', 'driver', garage.id, '8020'),
  person('Paul Ekker', 'driver', garage.id, '8030'),
  person('Dagny Moe', 'mechanic', garage.id, '7005'),
  person('Karl Viken', 'supervisor', garage.id, '9004'),
];

export { rigs, unitByNumber, units, type DemoRig, type DemoUnit } from './fleet';
export { demoId } from './demo-id';
export { depots, type DemoDepot } from './depots';
