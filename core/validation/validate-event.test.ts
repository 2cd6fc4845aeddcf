import fc from 'fast-check';
import { begunOf, makeLog, makeRig, signature, walkId } from '../testing/halvern';
import { fields } from '../fields';
import { isEventType, kindOf } from '../inspection';
import { validateEvent } from '.';

const rig = makeRig();

function event(type: string, payload: unknown, more: object = {}): unknown {
  const { events, add } = makeLog();
  add('annotated', { words: 'as a mould' });
  return { ...events[0], type, payload, ...more };
}

const problem = (value: unknown) => {
  const validated = validateEvent(value);
  return validated.ok ? 'ok' : `${validated.code}: ${validated.detail}`;
};

describe('what is taken for an event', () => {
  it.each([
    ['begun', begunOf(rig)],
    ['answered', { key: 'a/b', outcome: 'sound' }],
    ['answered', { key: 'a/b', outcome: 'not-looked', reason: 'Snow on it' }],
    ['measured', { key: 'a/b', value: 1, unit: 'psi', typed: '1', instrument: 'gauge' }],
    ['faulted', { key: 'a/b', defectId: walkId, symptomId: 'x', photos: [] }],
    ['faulted', { key: 'a', defectId: walkId, symptomId: 'x', photos: [], spot: { x: 1, y: -1 } }],
    ['acknowledged', { defectId: walkId }],
    ['signed', { signature, headline: 'rolls' }],
    ['certified', { defectId: walkId, outcome: 'repaired', words: 'New hose', signature }],
    ['annotated', { words: 'Washed afterwards' }],
  ])('%s %p', (type, payload) => {
    expect(problem(event(type, payload))).toBe('ok');
  });
});

describe('what is not', () => {
  it.each([
    ['a newer type', event('levitated', {}), /unknown-type.*levitated/],
    ['a number', 7, /malformed/],
    ['nothing', null, /malformed/],
    ['a list', [], /malformed/],
    ['an id of another sort', event('annotated', { words: 'xx' }, { id: '12' }), /identifier/],
    ['a version to come', event('annotated', { words: 'xx' }, { version: 2 }), /version/],
    [
      'a time before all phones',
      event('annotated', { words: 'xx' }, { at: 5 }),
      /at must be a time/,
    ],
    ['a field too many', event('annotated', { words: 'xx', to: 'all' }), /to/],
    ['a payload of another type', event('measured', { words: 'xx' }), /malformed/],
    ['no reason', event('answered', { key: 'a', outcome: 'not-looked' }), /say why/],
    [
      'a reading that is no number',
      event('measured', { key: 'a', value: NaN, unit: 'psi', typed: '?', instrument: 'eye' }),
      /value/,
    ],
    [
      'a unit nobody knows',
      event('measured', { key: 'a', value: 1, unit: 'fathom', typed: '1', instrument: 'eye' }),
      /unit/,
    ],
    [
      'no signature',
      event('signed', { headline: 'rolls', signature: { name: 'A', strokes: [] } }),
      /drawn/,
    ],
    [
      'an endless key',
      event('answered', { key: 'x'.repeat(201), outcome: 'sound' }),
      /longer than/,
    ],
    ['a NUL', event('annotated', { words: 'a\u0000b' }), /cannot be stored/],
    ['half a character', event('annotated', { words: 'a\ud800b' }), /cannot be stored/],
    [
      'a deferral without a day',
      event('certified', { defectId: walkId, outcome: 'deferred', words: 'later', signature }),
      /needs a date/,
    ],
    [
      'seven photos',
      event('faulted', {
        key: 'a',
        defectId: walkId,
        symptomId: 'x',
        photos: Array(7).fill({ id: walkId, width: 1, height: 1 }),
      }),
      /photos/,
    ],
  ])('%s', (_, value, words) => {
    expect(problem(value)).toMatch(words);
  });

  it('throws at nothing at all', () => {
    fc.assert(
      fc.property(fc.anything(), (value) => {
        expect(validateEvent(value).ok).toBe(false);
      }),
    );
  });

  it('does not take an inherited name for a type', () => {
    expect(isEventType('toString')).toBe(false);
    expect(isEventType('constructor')).toBe(false);
    expect(isEventType('begun')).toBe(true);
  });
});

describe('what is seen at a glance', () => {
  // Each field now whole, now odd; what the short way takes, the schema takes too.
  const odd = fc.oneof(
    fc.string(),
    fc.double(),
    fc.constant(undefined),
    fc.constant(null),
    fc.object(),
  );
  const readings = fc.record(
    {
      key: fc.oneof(fc.constant('a/b/steer-left'), odd),
      value: fc.oneof(fc.double(), odd),
      unit: fc.oneof(fc.constantFrom('psi', 'mm', 'toString'), odd),
      typed: fc.oneof(fc.constantFrom('12', '1,5', '-3.25'), odd),
      instrument: fc.oneof(fc.constantFrom('gauge', 'eye'), odd),
      more: odd,
    },
    { requiredKeys: ['key', 'value', 'unit', 'typed', 'instrument'] },
  );

  it('is taken only where the schema takes it, field by field', () => {
    fc.assert(
      fc.property(readings, (payload) => {
        const isTaken = validateEvent(event('measured', payload)).ok;
        const bySchema = kindOf('measured').schema(fields).isValidSync(payload, { strict: true });
        expect(isTaken).toBe(bySchema);
      }),
      { numRuns: 3000 },
    );
  });
});
