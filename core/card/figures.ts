import type { Axle, Place } from '../catalogue';

type Figures = Readonly<Record<string, number>>;

/** What an axle's own figures are called by the limits of content, which ask by kind of axle. */
const CALLED: Readonly<Record<string, readonly string[]>> = {
  coldPressure: ['coldPressureSteer', 'coldPressureDrive', 'coldPressureTrailer'],
  treadNew: ['treadNewSteer', 'treadNewDrive', 'treadNewTrailer'],
  chamber: ['chamberSteer', 'chamber'],
  longStroke: ['longStrokeChambers'],
  discBrakes: ['discBrakes'],
  strokeMost: ['strokeMostSteer', 'strokeMost'],
  liningLeast: ['liningLeastSteer', 'liningLeast'],
};

/**
 * The figures that hold at a place: those of the card, and at a wheel those of its own axle in their stead. A card that was kept before
 * cards had axles says each figure once for all axles of a kind, and so it is read.
 * @param axles of the unit, as its card has them
 * @returns SI, by the fields of the module's specification
 */
export function figuresAt(
  figures: Figures,
  axles: readonly Axle[] | undefined,
  place: Place | undefined,
): Figures {
  const axle = place?.axle === undefined ? undefined : axles?.[place.axle];
  if (!axle) return figures;
  const own = Object.entries(CALLED).flatMap(([name, fields]) => {
    const value = Number(axle[name as keyof Axle] ?? NaN);
    return Number.isFinite(value) ? fields.map((field) => [field, value] as const) : [];
  });
  return own.length === 0 ? figures : { ...figures, ...Object.fromEntries(own) };
}
