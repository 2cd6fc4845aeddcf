/**
 * What entries, forms and files are made of, as Yup: every text, list and number has a greatest size here. Nothing else of the core loads
 * Yup for entries; a type of event gets these fields handed to it ({@link Fields}), so that a phone need not load them to fold a log.
 */
import { array, boolean, mixed, number, object, string } from 'yup';
import { CAPABILITIES } from '../catalogue';
import { MOST_UNITS } from '../rig';

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

/** Of a check on a unit. */
const key = () => plainText(200).required();

/** One of these words. */
const word = (words: readonly string[]) => string().oneOf([...words]);

/** Said, or not there at all. */
const said = () => boolean().oneOf([true]);

const finite = () =>
  number().test('finite', '${path} is no number', (n) => n === undefined || Number.isFinite(n));

const signature = () =>
  object({
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

const photo = () =>
  object({
    id: uuid().required(),
    width: number().integer().min(1).max(20000).required(),
    height: number().integer().min(1).max(20000).required(),
  }).noUnknown();

const capabilities = () => array(word(CAPABILITIES).required()).max(CAPABILITIES.length).required();

const circumstances = () =>
  array(word(['dark', 'wet', 'freezing', 'passengers']).required()).max(16);

/** `unit id/zone id` */
const zone = () =>
  string()
    .matches(/^[0-9a-f-]{36}\/[\w.-]{1,60}$/, '${path} is no stop of a unit')
    .required();

const reason = () =>
  plainText(1000).min(3, 'say in a few words why').required('say in a few words why');

const day = () => string().matches(/^\d{4}-\d{2}-\d{2}$/, '${path} is no date like 2027-03-31');

/** Which policy grades which unit. */
const policiesOfUnits = () =>
  mixed<Record<string, string>>().test(
    'policies',
    '${path} names a policy for each unit',
    (value) => value === undefined || isPolicyMap(value),
  );

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

export const fields = {
  array,
  boolean,
  number,
  object,
  string,
  uuid,
  plainText,
  rigUnits,
  key,
  word,
  said,
  finite,
  signature,
  photo,
  capabilities,
  circumstances,
  zone,
  reason,
  day,
  policiesOfUnits,
};

/** Handed to each type of event, which makes its schema of them. */
export type Fields = typeof fields;
