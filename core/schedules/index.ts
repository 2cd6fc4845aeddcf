import type { Check, Listed, Symptom, System } from '../catalogue';
import * as parts from './parts';
import type { NamedDefect } from './parts';
export { HOUSE_STRICTER } from './house';

/** One numbered item of a public schedule of defects. */
export interface ScheduleItem {
  readonly item: string;
  readonly title: string;
  readonly defects: readonly NamedDefect[];
}

export interface Schedule {
  /** The name by which policies refer to the whole standard. */
  readonly standard: string;
  readonly title: string;
  readonly items: readonly ScheduleItem[];
}

const item = (number: number, title: string, defects: readonly NamedDefect[]): ScheduleItem => ({
  item: String(number),
  title,
  defects,
});

/** For trucks, tractors and trailers. Item 5 (dangerous goods) and 13 (general) name no part. */
export const scheduleOne: Schedule = {
  standard: 'nsc-13',
  title: 'NSC Standard 13, Schedule 1: truck, tractor, trailer',
  items: [
    item(1, 'Air brake system', parts.airBrake),
    item(2, 'Cab', parts.cab),
    item(3, 'Cargo securement', parts.cargo),
    item(4, 'Coupling devices', parts.coupling),
    item(6, 'Driver controls', parts.controls),
    item(7, 'Driver seat', parts.seat),
    item(8, 'Electric brake system', parts.electricBrake),
    item(9, 'Emergency equipment and safety devices', parts.emergency),
    item(10, 'Exhaust system', parts.exhaust),
    item(11, 'Frame and cargo body', parts.frame),
    item(12, 'Fuel system', parts.fuel),
    item(14, 'Glass and mirrors', parts.glass),
    item(15, 'Heater and defroster', parts.heater),
    item(16, 'Horn', parts.horn),
    item(17, 'Hydraulic brake system', parts.hydraulicBrake),
    item(18, 'Lamps and reflectors', parts.lamps),
    item(19, 'Steering', parts.steering),
    item(20, 'Suspension system', parts.suspension),
    item(21, 'Tires', parts.tyres),
    item(22, 'Wheels, hubs and fasteners', parts.wheels),
    item(23, 'Windshield wiper and washer', parts.wipers),
  ],
};

/** For buses. */
export const scheduleTwo: Schedule = {
  standard: 'nsc-13',
  title: 'NSC Standard 13, Schedule 2: bus',
  items: [
    item(1, 'Accessibility devices', parts.accessibility),
    item(2, 'Air brake system', parts.airBrake),
    item(6, 'Doors and emergency exits', parts.exits),
    item(7, 'Driver controls', parts.controls),
    item(8, 'Driver seat', parts.seat),
    item(10, 'Emergency equipment and safety devices', parts.emergency),
    item(11, 'Exhaust system', parts.exhaust),
    item(12, 'Exterior body and frame', parts.frame),
    item(13, 'Fuel system', parts.fuel),
    item(15, 'Glass and mirrors', parts.glass),
    item(16, 'Heater and defroster', parts.heater),
    item(17, 'Horn', parts.horn),
    item(18, 'Hydraulic brake system', parts.hydraulicBrake),
    item(19, 'Lamps and reflectors', parts.lamps),
    item(20, 'Passenger compartment', parts.passengers),
    item(21, 'Steering', parts.steering),
    item(22, 'Suspension system', parts.suspension),
    item(23, 'Tires', parts.tyres),
    item(24, 'Wheels, hubs and fasteners', parts.wheels),
    item(25, 'Windshield wiper and washer', parts.wipers),
  ],
};

/** 49 CFR 396.11(a)(1): parts of which a report has to speak, each with the classes of parts that it means here. */
export const partsToReport: readonly {
  readonly item: string;
  readonly title: string;
  readonly systems: readonly System[];
}[] = [
  { item: 'i', title: 'Service brakes including trailer brake connections', systems: ['brakes'] },
  { item: 'ii', title: 'Parking brake', systems: ['brakes'] },
  { item: 'iii', title: 'Steering mechanism', systems: ['steering'] },
  { item: 'iv', title: 'Lighting devices and reflectors', systems: ['lamps'] },
  { item: 'v', title: 'Tires', systems: ['tyres'] },
  { item: 'vi', title: 'Horn', systems: ['horn'] },
  { item: 'vii', title: 'Windshield wipers', systems: ['wipers'] },
  { item: 'viii', title: 'Rear vision mirrors', systems: ['mirrors'] },
  { item: 'ix', title: 'Coupling devices', systems: ['coupling'] },
  { item: 'x', title: 'Wheels and rims', systems: ['wheels'] },
  { item: 'xi', title: 'Emergency equipment', systems: ['emergency'] },
];

/** What a schedule says of each symptom, by `tail of the check's id` `symptom`. */
function indexOf({ standard, items }: Schedule): ReadonlyMap<string, readonly Listed[]> {
  const index = new Map<string, Listed[]>();
  for (const { item: number, defects } of items)
    for (const { symptoms, words, grade, when, from } of defects)
      for (const each of symptoms) {
        const [place, step] = each.split('#');
        const listed: Listed = {
          standard,
          item: number,
          words,
          grade,
          ...(when && { when }),
          ...(from !== undefined && { from }),
          ...(step !== undefined && { step }),
        };
        index.set(place, [...(index.get(place) ?? []), listed]);
      }
  return index;
}

const INDEXES = { goods: indexOf(scheduleOne), passenger: indexOf(scheduleTwo) };

/** Each symptom with what the public schedule for its class of vehicle says of it. */
export function withListed(checks: readonly Check[], isBus: boolean): Check[] {
  const index = isBus ? INDEXES.passenger : INDEXES.goods;
  return checks.map((check) => {
    const tail = check.id.slice(check.id.indexOf('.') + 1);
    const listed = (symptom: Symptom) => index.get(`${tail} ${symptom.id}`);
    if (!check.symptoms.some(listed)) return check;
    return {
      ...check,
      symptoms: check.symptoms.map((symptom) => {
        const of = listed(symptom);
        return of ? { ...symptom, listed: of } : symptom;
      }),
    };
  });
}
