import { array, boolean, number, object, string, type ObjectSchema } from 'yup';
import { UNITS } from '../quantity';

const signals = ['DANGER', 'WARNING', 'CAUTION', 'NOTICE'];
const harms = ['watch', 'repair', 'stop'];
const circumstances = ['dark', 'wet', 'freezing', 'towing'];
const capabilities = ['road', 'tow', 'dump', 'plow', 'spread', 'lift-gate', 'passengers', 'yard'];
const id = () =>
  string()
    .required()
    .matches(/^[a-z0-9]+([.-][a-z0-9]+)*$/);
const words = () => string().required().min(3);

const caution = object({
  signal: string().oneOf(signals).required(),
  words: words(),
}).noUnknown();

const symptom = object({
  id: id(),
  words: words(),
  system: string().required(),
  harm: string().oneOf(harms).required(),
  takes: array(string().oneOf(capabilities).required()).required(),
  fixable: boolean().required(),
  condition: string(),
  worse: array(
    object({
      in: string().oneOf(circumstances).required(),
      harm: string().oneOf(harms).required(),
      because: words(),
    }).noUnknown(),
  ),
  scale: object({
    question: words(),
    steps: array(
      object({
        id: id(),
        words: words(),
        harm: string().oneOf(harms).required(),
      }).noUnknown(),
    )
      .min(2)
      .required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  many: object({
    from: number().min(2).required(),
    harm: string().oneOf(harms).required(),
    because: words(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
}).noUnknown();

const check = object({
  id: id(),
  title: words(),
  zone: id(),
  each: string(),
  method: string()
    .oneOf([
      'look',
      'feel',
      'shake',
      'thump',
      'listen',
      'smell',
      'measure',
      'operate',
      'drain',
      'count',
      'clean',
    ])
    .required(),
  phases: array(string().oneOf(['pre-trip', 'post-trip']).required())
    .min(1)
    .required(),
  needs: array(string().required()).required(),
  helper: string().oneOf(['none', 'may-help', 'needed', 'driver-only']).required(),
  when: array(string().oneOf(circumstances).required()),
  seconds: number().positive().max(900).required(),
  criterion: words(),
  source: string(),
  reading: object({
    kind: string().required(),
    ask: words(),
    required: boolean().required(),
    bands: array(
      object({
        side: string().oneOf(['below', 'above']).required(),
        limit: object({
          from: string().oneOf(['law', 'specification']).required(),
          value: number(),
          unit: string().oneOf(Object.keys(UNITS)),
          source: string(),
          field: string(),
          share: number(),
        }).noUnknown(),
        symptom: id(),
        only: string().oneOf(['single', 'combination']),
      }).noUnknown(),
    ).required(),
    plausible: array().length(3).required(),
    neverAbove: string(),
    uncertainty: array().length(2).required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  symptoms: array(symptom).min(1).required(),
  fixes: array(words()).required(),
  cautions: array(caution).required(),
  why: words(),
}).noUnknown();

/** Shape of one equipment module; ids that refer to each other are checked by {@link findCatalogueFaults}. */
export const moduleSchema: ObjectSchema<object> = object({
  id: id(),
  title: words(),
  powered: boolean().required(),
  airBrakes: boolean().required(),
  length: number().positive().required(),
  width: number().positive().required(),
  height: number().positive().required(),
  capabilities: array(string().oneOf(capabilities).required()).required(),
  joints: object().required(),
  zones: array(
    object({
      id: id(),
      title: words(),
      round: string().oneOf(['outside', 'engine-bay', 'cab', 'brakes']).required(),
      x: number().required(),
      y: number().required(),
      cautions: array(caution),
    }).noUnknown(),
  ).required(),
  places: array(
    object({
      id: id(),
      title: words(),
      sorts: array(string().required()).min(1).required(),
      zone: id(),
      x: number().required(),
      y: number().required(),
    }).noUnknown(),
  ).required(),
  shapes: array(object()).required(),
  checks: array(check).min(1).required(),
}).noUnknown();
