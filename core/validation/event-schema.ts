import { array, boolean, mixed, number, object, string, type AnyObjectSchema } from 'yup';
import { CAPABILITIES, PHASES, SOMETHING_ELSE } from '../catalogue';
import { OTHER_QUESTIONS } from '../grading';
import { AFFIRMATIONS, VEHICLE_CHANGES } from '../vehicle';
import { UNITS } from '../quantity';
import { MOST_UNITS, type EventType } from '../inspection';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
// NUL and lone surrogates cannot be stored as text.
const PLAIN = /^(?:[^\u0000\ud800-\udfff]|[\ud800-\udbff][\udc00-\udfff])*$/;

/** Whether a text can be stored as it is. */
export const isStorable = (text: string): boolean => PLAIN.test(text);

export const uuid = () => string().matches(UUID, '${path} is no identifier');
export const plainText = (most: number) =>
  string()
    .max(most, '${path} is longer than ${max} characters')
    .matches(PLAIN, '${path} has characters that cannot be stored');

/** Units of a rig, front to rear: as many as a walk may have. */
export const rigUnits = () => array(uuid().required()).min(1).max(MOST_UNITS).required();

const key = () => plainText(200).required();

const signature = object({
  name: plainText(80).required(),
  strokes: array(
    array(number().integer().min(-50).max(1050).required()).min(4).max(4000).required(),
  )
    .min(1, 'a signature is drawn')
    .max(120)
    .required(),
})
  .noUnknown()
  .required();

const photo = object({
  id: uuid().required(),
  width: number().integer().min(1).max(20000).required(),
  height: number().integer().min(1).max(20000).required(),
}).noUnknown();

const capabilities = () =>
  array(
    string()
      .oneOf([...CAPABILITIES])
      .required(),
  )
    .max(CAPABILITIES.length)
    .required();

function isPolicyMap(value: unknown): boolean {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const entries = Object.entries(value);
  return (
    entries.length <= MOST_UNITS &&
    entries.every(
      ([unit, policy]) =>
        UUID.test(unit) && typeof policy === 'string' && /^[\w.@-]{1,40}$/.test(policy),
    )
  );
}

const circumstances = () =>
  array(string().oneOf(['dark', 'wet', 'freezing', 'passengers']).required());

/** `unit id/zone id` */
const zone = () =>
  string()
    .matches(/^[0-9a-f-]{36}\/[\w.-]{1,60}$/, '${path} is no stop of a unit')
    .required();

const reason = () =>
  plainText(1000).min(3, 'say in a few words why').required('say in a few words why');

const day = () => string().matches(/^\d{4}-\d{2}-\d{2}$/, '${path} is no date like 2027-03-31');

const finite = () =>
  number().test('finite', '${path} is no number', (n) => n === undefined || Number.isFinite(n));

const fault = () =>
  object({
    key: key(),
    defectId: uuid().required(),
    symptomId: plainText(80).required(),
    stepId: plainText(80),
    spot: object({
      x: finite().min(-50).max(50).required(),
      y: finite().min(-50).max(50).required(),
    })
      .noUnknown()
      .default(undefined)
      .optional(),
    // What no list names is told in words.
    note: plainText(1000).when('symptomId', {
      is: SOMETHING_ELSE,
      then: (schema) => schema.required('say what is wrong').min(3, 'say what is wrong'),
    }),
    photos: array(photo).max(6).required(),
    fixed: plainText(300),
    raisedTo: string().oneOf(['note', 'minor', 'major']),
    other: object(Object.fromEntries(OTHER_QUESTIONS.map((each) => [each, boolean()])))
      .noUnknown()
      .default(undefined)
      .optional(),
  }).noUnknown();

/** The payload of each type of event, version 1. */
export const payloadSchemas: Readonly<Record<EventType, AnyObjectSchema>> = {
  begun: object({
    unitIds: rigUnits(),
    phase: string()
      .oneOf([...PHASES])
      .required(),
    catalogueVersion: plainText(40).required(),
    houseVersion: number().integer().min(1),
    policyId: plainText(40).required(),
    policies: mixed<Record<string, string>>().test(
      'policies',
      '${path} names a policy for each unit',
      (value) => value === undefined || isPolicyMap(value),
    ),
    job: object({ needs: capabilities(), title: plainText(80) })
      .noUnknown()
      .default(undefined)
      .optional(),
    circumstances: circumstances().required(),
    tags: array(zone()).max(200),
    temperatureC: finite().min(-80).max(70),
    place: plainText(120),
  }).noUnknown(),
  answered: object({
    key: key(),
    outcome: string().oneOf(['sound', 'not-looked', 'cleared']).required(),
    reason: plainText(300).when('outcome', {
      is: 'not-looked',
      then: (schema) => schema.required('say why it could not be looked at').min(3),
    }),
    together: boolean().oneOf([true]),
  }).noUnknown(),
  measured: object({
    key: key(),
    value: finite().required(),
    unit: string().oneOf(Object.keys(UNITS)).required(),
    typed: plainText(24).required(),
    instrument: string().oneOf(['eye', 'gauge', 'sensor', 'simulated-sensor']).required(),
  }).noUnknown(),
  faulted: fault(),
  found: fault(),
  counted: object({
    key: key(),
    items: array(
      object({
        id: plainText(80).required(),
        found: number().integer().min(0).max(999).required(),
        until: day(),
      }).noUnknown(),
    )
      .max(60)
      .required(),
  }).noUnknown(),
  acknowledged: object({ defectId: uuid().required() }).noUnknown(),
  signed: object({
    signature,
    headline: string().oneOf(['rolls', 'limits', 'stays']).required(),
  }).noUnknown(),
  sealed: object({ reportId: uuid().required(), hash: plainText(100).required() }).noUnknown(),
  certified: object({
    defectId: uuid().required(),
    outcome: string().oneOf(['repaired', 'no-repair-needed', 'deferred']).required(),
    words: plainText(1000).min(3, 'say what was done or why').required('say what was done or why'),
    until: day().when('outcome', {
      is: 'deferred',
      then: (schema) => schema.required('a deferral needs a date'),
    }),
    revision: number().integer().min(0),
    signature,
  }).noUnknown(),
  overridden: object({ about: key(), words: reason(), signature }).noUnknown(),
  'looked-again': object({ about: key(), words: plainText(300) }).noUnknown(),
  released: object({ words: reason(), signature }).noUnknown(),
  'signed-out': object({
    purpose: string().oneOf(['job', 'workshop']).required(),
    needs: capabilities(),
    title: plainText(80),
    conditions: array(plainText(300).required()).max(60).required(),
    stowed: boolean().oneOf([true]),
  }).noUnknown(),
  returned: object({ words: plainText(1000) }).noUnknown(),
  assigned: object({
    defectId: uuid().required(),
    to: uuid().nullable().defined(),
    revision: number().integer().min(0),
  }).noUnknown(),
  worked: object({
    defectId: uuid().required(),
    words: plainText(1000).min(2, 'say what was done').required('say what was done'),
    minutes: number().integer().min(1).max(10_000),
    parts: array(
      object({
        words: plainText(120).min(2).required(),
        count: number().integer().min(1).max(999).required(),
      }).noUnknown(),
    )
      .max(30)
      .required(),
    photos: array(photo.shape({ when: string().oneOf(['before', 'after']).required() }))
      .max(8)
      .required(),
  }).noUnknown(),
  countersigned: object({ defectId: uuid().required(), signature }).noUnknown(),
  annotated: object({
    words: plainText(2000).min(2).required(),
    defectId: uuid(),
  }).noUnknown(),
  changed: object({
    change: string()
      .oneOf([...VEHICLE_CHANGES])
      .required(),
    unitId: uuid().optional(),
    found: boolean().oneOf([true]),
  }).noUnknown(),
  affirmed: object({
    what: string()
      .oneOf([...AFFIRMATIONS])
      .required(),
    zone: zone(),
  }).noUnknown(),
  turned: object({ circumstances: circumstances().min(1).required() }).noUnknown(),
  dropped: object({ unitId: uuid().required(), reason: reason() }).noUnknown(),
  joined: object({
    name: plainText(80).min(2).required(),
    phone: boolean().required(),
  }).noUnknown(),
  parted: object({}).noUnknown(),
  asked: object({ keys: array(key()).max(100).required() }).noUnknown(),
  present: object({
    zone: zone(),
    code: string()
      .matches(/^[A-Z0-9]{6}$/, 'a code of a tag has six letters and digits')
      .required(),
    how: string().oneOf(['camera', 'typed']).required(),
  }).noUnknown(),
  'clock-moved': object({ seconds: finite().min(-1e7).max(1e7).required() }).noUnknown(),
};
