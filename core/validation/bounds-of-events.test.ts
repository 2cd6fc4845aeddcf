import { fields } from '../fields';
import { EVENT_TYPES, kindOf } from '../inspection';
import { everyPayload, instanceOf, makeRig } from '../testing';

const rig = makeRig();
const payloads = everyPayload(rig, instanceOf(rig, 'wheel.nuts/steer-left'));

type Path = readonly (string | number)[];

/** Every text, number and list in a value, and every object. */
function placesIn(value: unknown, path: Path = []): { path: Path; value: unknown }[] {
  const own = [{ path, value }];
  if (typeof value !== 'object' || value === null) return own;
  return [
    ...own,
    ...Object.entries(value).flatMap(([name, each]) =>
      placesIn(each, [...path, Array.isArray(value) ? Number(name) : name]),
    ),
  ];
}

function replaced(value: unknown, path: Path, by: unknown): unknown {
  if (path.length === 0) return by;
  const [first, ...rest] = path;
  const copy: any = Array.isArray(value) ? [...value] : { ...(value as object) };
  copy[first] = replaced(copy[first], rest, by);
  return copy;
}

/** What nobody's phone sends, in the place of something whole. */
function hostileFor(value: unknown): unknown[] {
  if (typeof value === 'string') return ['x'.repeat(5000), 'a\u0000', 'a\ud800', 7, {}, ['a']];
  if (typeof value === 'number')
    return [Number.NaN, Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY, 'one', {}];
  if (typeof value === 'boolean') return ['yes', 1, {}];
  if (Array.isArray(value))
    return [Array.from({ length: 5000 }, () => value[0] as unknown), 'a', { length: 1 }];
  return [{ ...(value as object), more: 1 }, 7, 'a'];
}

describe.each(EVENT_TYPES)('“%s”', (type) => {
  const schema = kindOf(type).schema(fields);
  const isTaken = (value: unknown) => schema.isValidSync(value, { strict: true });

  it('is taken whole', () => {
    expect(() => schema.validateSync(payloads[type], { strict: true })).not.toThrow();
  });

  it('is refused with anything endless, of another sort or unknown in it', () => {
    const taken = placesIn(payloads[type]).flatMap(({ path, value }) =>
      hostileFor(value)
        .filter((hostile) => isTaken(replaced(payloads[type], path, hostile)))
        .map((hostile) => `${path.join('.')}: ${JSON.stringify(hostile).slice(0, 40)}`),
    );
    expect(taken).toEqual([]);
  });
});
