import type { Axle, Card, Chart, Module, SpecificationField } from '../catalogue';
import type { Kind } from '../quantity';
import type { Amount, Message } from '../words';

type CardFaultCode =
  | 'card-no-axles'
  | 'card-axle-count'
  | 'card-axle-place'
  | 'card-axle-steered'
  | 'card-tyres'
  | 'card-duals'
  | 'card-figure'
  | 'card-masses'
  | 'card-twice'
  | 'card-tank-place'
  | 'card-date'
  | 'card-chart-empty'
  | 'card-chart-order'
  | 'card-chart-hole'
  | 'card-chart-rises';

type CardFault = Message<CardFaultCode>;

/** Between what a figure of a kind can be on a card, SI; a zero mass or pressure is a slip of whoever typed it. */
const CAN_BE: Readonly<Partial<Record<Kind, readonly [least: number, most: number]>>> = {
  mass: [20, 250_000],
  pressure: [10_000, 40_000_000],
  length: [0.02, 80],
  depth: [0.0005, 1],
  voltage: [1, 60],
  temperature: [200, 500],
  angle: [0.001, 3.2],
  volume: [0.0001, 80],
  duration: [0.5, 86_400],
  count: [0, 100_000],
};

/** Two axles closer than this would stand in each other, metres. */
const LEAST_APART = 0.6;

/**
 * What cannot be on the card of a unit: axles that do not fit what it is, figures that cannot be, charts with holes. Each module says by
 * its running gear and its specification what a card of it may hold.
 * @param unit its number, for the sentence
 * @param figures SI, by the fields of the module's specification
 * @param card as it was typed or read: its shape is that of {@link Card}, its numbers may be anything
 */
export function findCardFaults(
  unit: string,
  figures: Readonly<Record<string, number>>,
  card: Card | undefined,
  module: Pick<Module, 'runningGear' | 'specification' | 'length'>,
): CardFault[] {
  return [
    ...findFigureFaults(unit, figures, module.specification),
    ...(card?.axles ? findAxleFaults(unit, card.axles, module) : []),
    ...findTwice(unit, card),
    ...(card?.tanks ?? [])
      .filter(({ at, volume }) => !within(at, 0, module.length) || !canBe(volume, 'volume'))
      .map(({ title }): CardFault => ({ code: 'card-tank-place', unit, tank: title })),
    ...(card?.dated ?? [])
      .filter(({ until }) => !isDay(until))
      .map(({ title, until }): CardFault => ({ code: 'card-date', unit, item: title, until })),
    ...(card?.charts ?? []).flatMap((chart) => findChartFaults(unit, chart)),
  ];
}

/** Whether one part of a card, looked at alone, can be right: of another nothing is taken. */
export const isWhole = (part: Card, module: Parameters<typeof findCardFaults>[3]): boolean =>
  findCardFaults('', {}, part, module).length === 0;

const within = (value: number, least: number, most: number) => value >= least && value <= most;

function canBe(value: number | undefined, kind: Kind): boolean {
  const range = CAN_BE[kind];
  return value === undefined || !range || within(value, ...range);
}

function findFigureFaults(
  unit: string,
  figures: Readonly<Record<string, number>>,
  fields: readonly SpecificationField[],
): CardFault[] {
  const wrong = fields
    .filter(({ id, kind }) => Object.hasOwn(figures, id) && !canBe(figures[id], kind))
    .map(({ id, title, kind }): CardFault => ({
      code: 'card-figure',
      unit,
      field: title,
      value: amount(figures[id], kind),
    }));
  const { massEmpty, massGross } = figures;
  return massGross < massEmpty
    ? [
        ...wrong,
        {
          code: 'card-masses',
          unit,
          empty: amount(massEmpty, 'mass'),
          gross: amount(massGross, 'mass'),
        },
      ]
    : wrong;
}

function amount(si: number, kind: Kind): Amount {
  return { si, kind };
}

function findAxleFaults(
  unit: string,
  axles: readonly Axle[],
  { runningGear: gear, length }: Pick<Module, 'runningGear' | 'length'>,
): CardFault[] {
  if (!gear) return [{ code: 'card-no-axles', unit }];
  if (axles.length === 0 || axles.length > gear.mostAxles)
    return [{ code: 'card-axle-count', unit, named: axles.length, most: gear.mostAxles }];
  const faults: CardFault[] = [];
  if (gear.names !== 'numbered' && !axles[0].steered)
    faults.push({ code: 'card-axle-steered', unit });
  return [
    ...faults,
    ...axles.flatMap((axle, index) => {
      const number = index + 1;
      const found: CardFault[] = [];
      const least = index === 0 ? 0 : axles[index - 1].at + LEAST_APART;
      if (!within(axle.at, least, length))
        found.push({ code: 'card-axle-place', unit, axle: number });
      if (axle.tyres !== 1 && axle.tyres !== 2)
        found.push({ code: 'card-tyres', unit, axle: number });
      const front = axle.steered && axles.slice(0, index).every(({ steered }) => steered);
      if (axle.tyres === 2 && (!gear.mayHaveDuals || (front && gear.names === 'steer-and-drive')))
        found.push({ code: 'card-duals', unit, axle: number });
      for (const [name, kind] of OF_AXLE)
        if (!canBe(axle[name], kind))
          found.push({
            code: 'card-figure',
            unit,
            field: `axle ${number}, ${NAMED[name]}`,
            value: amount(axle[name] ?? NaN, kind),
          });
      return found;
    }),
  ];
}

const NAMED = {
  coldPressure: 'cold pressure',
  treadNew: 'tread when new',
  strokeMost: 'stroke, most',
  liningLeast: 'lining, least',
} as const;

const OF_AXLE = [
  ['coldPressure', 'pressure'],
  ['treadNew', 'depth'],
  ['strokeMost', 'depth'],
  ['liningLeast', 'depth'],
] as const;

function findTwice(unit: string, card: Card | undefined): CardFault[] {
  return [card?.tanks, card?.dated, card?.charts].flatMap((list) =>
    (list ?? [])
      .filter(({ id }, index, all) => all.findIndex((each) => each.id === id) < index)
      .map(({ title }): CardFault => ({ code: 'card-twice', unit, item: title })),
  );
}

/** `YYYY-MM-DD` that the calendar has. */
function isDay(text: string): boolean {
  const day = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(day.getTime()) && day.toISOString().slice(0, 10) === text;
}

/** Loads fall with radius; where a load is missing, the boom is too long or too flat there, and it stays so further out. */
function findChartFaults(unit: string, chart: Chart): CardFault[] {
  const of = { unit, chart: chart.title };
  const { rows, lengths } = chart;
  if (rows.length === 0 || lengths.length === 0) return [{ code: 'card-chart-empty', ...of }];
  if (!rises(rows.map(({ radius }) => radius)) || !rises(lengths))
    return [{ code: 'card-chart-order', ...of }];
  return rows.flatMap(({ radius, loads }, line) =>
    lengths.flatMap((length, column): CardFault[] => {
      const load = loads[column];
      const at = { ...of, radius: amount(radius, 'length'), length: amount(length, 'length') };
      if (load === undefined || (load !== null && !(load > 0)))
        return [{ code: 'card-chart-hole', ...at }];
      if (load === null) return [];
      const before = rows.slice(0, line).map((row) => row.loads[column]);
      // After a "not allowed" inside of the column nothing begins again, unless the boom was too short for the first lines.
      const began = before.findIndex((each) => typeof each === 'number');
      if (began >= 0 && before.slice(began).includes(null))
        return [{ code: 'card-chart-hole', ...at }];
      const last = before[line - 1];
      return typeof last === 'number' && load > last ? [{ code: 'card-chart-rises', ...at }] : [];
    }),
  );
}

const rises = (list: readonly number[]) =>
  list.every((each, index) => each > (index === 0 ? 0 : list[index - 1]));
