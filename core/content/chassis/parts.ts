import type { Check } from '../../catalogue';

/**
 * What of a vehicle carries, moves or guards which movement, by the second word of the ids: with a fault that stops here nobody rolls
 * it, or runs its engine, any more.
 */
const ROLLING = new Set([
  'air',
  'body',
  'brake',
  'coupling',
  'driveline',
  'fifth-wheel',
  'frame',
  'kingpin',
  'landing',
  'lines',
  'neck',
  'ramp',
  'slider',
  'steer',
  'steering',
  'suspension',
  'tyre',
  'wheel',
]);
const ENGINE = new Set(['fuel']);
/** Of the engine bay, what an engine does not survive. */
const ENGINE_PARTS =
  /\.engine\.(oil-level|coolant-level|belts|hoses|leaks|wiring|fan|start)$|\.approach\.ground$|\.(week\.(belts|separator)|month\.coolant)$/;
/** The same parts, looked at more closely once a week or a month. */
const ROLLING_PARTS = /\.(week\.nut-marks|month\.(stroke|frame))$/;
/** Lamps, lists and papers that are filed beside them carry nothing. */
const NO_PART = /\.(abs-lamp|warning-lamp|tool-box|box|plate)$/;

export function withChassisParts(checks: readonly Check[]): Check[] {
  return checks.map((check) => {
    if (check.partOf) return check;
    const parts = partsOf(check.id);
    return parts.length > 0 ? { ...check, partOf: parts } : check;
  });
}

function partsOf(id: string): string[] {
  const [, word = ''] = id.split('.');
  if (NO_PART.test(id)) return [];
  if (ENGINE.has(word) || ENGINE_PARTS.test(id)) return ['engine'];
  return ROLLING.has(word) || ROLLING_PARTS.test(id) ? ['rolling'] : [];
}
