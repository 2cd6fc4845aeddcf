import type { AnyEvent } from '../inspection';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
const TYPE = /^[a-z][a-z-]{0,39}$/;
const FIELDS = new Set([
  'id',
  'inspectionId',
  'deviceId',
  'actorId',
  'at',
  'sequence',
  'version',
  'type',
  'payload',
]);
const EARLIEST = 1_500_000_000_000;
const LATEST = 9_000_000_000_000;
const MOST_SEQUENCE = 2_147_483_647;

/**
 * What is wrong with the frame of an event; undefined when it is whole. Every event of every
 * walk passes here, and a device writes the frame and no person does, so plain comparisons serve.
 */
export function findEnvelopeFault(value: unknown): string | undefined {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return 'an entry must be an object';
  const event = value as Partial<AnyEvent>;
  for (const name of ['id', 'inspectionId', 'deviceId', 'actorId'] as const)
    if (typeof event[name] !== 'string' || !UUID.test(event[name]))
      return `${name} is no identifier`;
  if (!isWhole(event.at, EARLIEST, LATEST)) return 'at must be a time in milliseconds';
  if (!isWhole(event.sequence, 0, MOST_SEQUENCE)) return 'sequence must be a whole number';
  if (event.version !== 1) return 'version must be 1';
  if (typeof event.type !== 'string' || !TYPE.test(event.type)) return 'type must be a word';
  if (event.payload === undefined || event.payload === null) return 'payload is missing';
  for (const name of Object.keys(event))
    if (!FIELDS.has(name)) return `${name} does not belong to an entry`;
  return undefined;
}

function isWhole(value: unknown, least: number, most: number): boolean {
  return Number.isInteger(value) && (value as number) >= least && (value as number) <= most;
}
