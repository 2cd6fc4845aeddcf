import { PHASES } from '../catalogue';

/**
 * The published JSON Schema (draft-07) of an exported report. Additional properties
 * are refused, so that nothing unsealed can hide in a file.
 */
const text = { type: 'string' } as const;
const time = { type: 'string', format: 'date-time' } as const;
const id = { type: 'string', minLength: 1 } as const;
const grade = { enum: ['sound', 'note', 'minor', 'major'] } as const;
const hex = (digits: number) => ({ type: 'string', pattern: `^[0-9a-f]{${digits}}$` }) as const;
const list = (items: object) => ({ type: 'array', items }) as const;

function shape(required: Record<string, object>, optional: Record<string, object> = {}) {
  return {
    type: 'object',
    properties: { ...required, ...optional },
    required: Object.keys(required),
    additionalProperties: false,
  } as const;
}

const signature = shape({ name: text, strokes: list(list({ type: 'integer' })) });
const person = shape({ id, name: text });
const reading = shape(
  {
    value: { type: 'number', description: 'SI' },
    unit: text,
    typed: text,
    instrument: { enum: ['eye', 'gauge', 'sensor', 'simulated-sensor'] },
    at: time,
  },
  {
    limit: shape({
      side: { enum: ['below', 'above'] },
      value: { type: 'number', description: 'SI' },
      source: text,
    }),
  },
);
const counted = shape(
  { title: text, expected: { type: 'integer' }, found: { type: 'integer' } },
  { until: text },
);
const seal = shape({
  algorithm: { const: 'Ed25519' },
  canonical: { const: 'RFC 8785' },
  hash: hex(64),
  parts: { type: 'object', additionalProperties: hex(16) },
  chain: list(shape({ unit: id, sequence: { type: 'integer', minimum: 1 }, previous: hex(64) })),
  sealedAt: time,
  key: hex(64),
  signature: hex(128),
});
const head = shape({
  of: id,
  count: { type: 'integer', minimum: 0 },
  last: hex(64),
  at: time,
  key: hex(64),
  signature: hex(128),
});
const unit = { id, number: text, title: text, plate: text, module: text } as const;
const fitted = { fitted: list(text) };
const headline = { enum: ['rolls', 'limits', 'stays'] } as const;
const report = shape(
  {
    format: { const: 'nazar-report' },
    version: { enum: [1, 2] },
    id,
    inspection: id,
    organisation: text,
    depot: text,
    units: {
      ...list(shape(unit, fitted)),
      minItems: 1,
    },
    phase: { enum: [...PHASES] },
    catalogue: text,
    policy: shape(
      { id, title: text },
      {
        words: shape({ sound: text, note: text, minor: text, major: text }),
        beside: list(text),
      },
    ),
    conditions: shape(
      { circumstances: list({ enum: ['dark', 'wet', 'freezing', 'passengers'] }) },
      { temperatureC: { type: 'number' }, place: text },
    ),
    begun: time,
    signedAt: time,
    driver: person,
    answers: list(
      shape(
        {
          key: id,
          unit: text,
          check: id,
          title: text,
          outcome: { enum: ['sound', 'note', 'minor', 'major', 'not-looked'] },
          at: time,
        },
        {
          place: text,
          reason: text,
          readings: list(reading),
          counted: list(counted),
          replaced: { type: 'integer' },
          helper: text,
          together: { const: true },
        },
      ),
    ),
    defects: list(
      shape(
        {
          id,
          key: id,
          unit: text,
          title: text,
          symptom: text,
          grade,
          blocks: list(text),
          reasons: list(shape({ code: text, words: text })),
          photos: list(
            shape(
              { id, width: { type: 'integer' }, height: { type: 'integer' } },
              { sha256: hex(64) },
            ),
          ),
        },
        {
          place: text,
          extent: text,
          condition: text,
          mostKmh: { type: 'number', description: 'km/h' },
          due: time,
          fixed: text,
          note: text,
          spot: shape({ x: { type: 'number' }, y: { type: 'number' } }),
        },
      ),
    ),
    carried: list(shape({ about: id, title: text, grade, words: text })),
    acknowledged: list(shape({ defect: id, at: time })),
    verdict: shape(
      {
        headline,
        capabilities: list(
          shape({
            capability: text,
            state: { enum: ['clear', 'limited', 'blocked'] },
            because: list(text),
          }),
        ),
        conditions: list(text),
      },
      { shown: text, mostKmh: { type: 'number', description: 'km/h' } },
    ),
    signature,
  },
  {
    odometer: { type: 'number', description: 'metres' },
    pace: shape({
      stops: { type: 'integer' },
      hasty: list(
        shape({
          title: text,
          checks: { type: 'integer' },
          seconds: { type: 'number' },
          floor: { type: 'number' },
        }),
      ),
    }),
    course: shape(
      {},
      {
        presence: list(shape({ title: text, at: time, how: { enum: ['camera', 'typed'] } })),
        helpers: list(shape({ name: text, from: time }, { to: time })),
        leftBehind: shape({ reason: text, at: time }),
        turned: list(
          shape({
            circumstances: list({ enum: ['dark', 'wet', 'freezing', 'passengers'] }),
            at: time,
          }),
        ),
        clockMoved: list(shape({ seconds: { type: 'number' }, at: time })),
      },
    ),
    house: { type: 'integer' },
    log: hex(64),
    notAsked: list(shape({ title: text, reason: text })),
    rig: shape({
      units: { ...list(shape({ ...unit, report: id }, fitted)), minItems: 1 },
      headline,
      shown: text,
    }),
    job: shape({ needs: list(text) }, { title: text }),
  },
);
const addition = shape(
  {
    id,
    kind: {
      enum: [
        'certified',
        'countersigned',
        'acknowledged',
        'worked',
        'overridden',
        'looked-again',
        'released',
        'signed-out',
        'returned',
        'found',
        'annotated',
      ],
    },
    report: id,
    at: time,
    by: person,
  },
  {
    defect: id,
    about: id,
    outcome: text,
    words: text,
    until: text,
    needs: list(text),
    conditions: list(text),
    minutes: { type: 'integer' },
    parts: list(shape({ words: text, count: { type: 'integer' } })),
    photos: list(
      shape(
        {
          id,
          width: { type: 'integer' },
          height: { type: 'integer' },
          when: { enum: ['before', 'after'] },
        },
        { sha256: hex(64) },
      ),
    ),
    signature,
  },
);

export const reportSchema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  $id: 'nazar-report-2.schema.json',
  title: 'Nazar vehicle inspection report, versions 1 and 2',
  ...shape({ report, seal, additions: list(shape({ addition, seal })) }, { head }),
} as const;
