import { array, boolean, number, object, string, type ObjectSchema } from 'yup';
import { UNITS } from '../quantity';
import {
  BARS,
  CAPABILITIES,
  CIRCUMSTANCES,
  COUPLINGS,
  HARMS,
  HELD_BY,
  METHODS,
  MOUNTS,
  NEEDS,
  PHASES,
  POWERS,
  PRECEDED,
  ROUNDS,
  SUPPLIES,
  SYSTEMS,
  USE_STEPS,
  VEHICLE_CHANGES,
  VEHICLE_CLASSES,
} from '../catalogue';

/** A limit of the unit's own card; any other has a number of its own. */
const isOwn = (from: unknown) => from === 'specification';
const unitName = string().oneOf(Object.keys(UNITS)).required();
const signals = ['DANGER', 'WARNING', 'CAUTION', 'NOTICE'];
const harm = () =>
  string()
    .oneOf([...HARMS])
    .required();
const circumstances = [...CIRCUMSTANCES];
const capabilities = [...CAPABILITIES];
const id = () =>
  string()
    .required()
    .matches(/^[a-z0-9]+([.-][a-z0-9]+)*$/);
const words = () => string().required().min(3);

const KINDS = [...new Set(Object.values(UNITS).map(({ kind }) => kind))];
const supplies = () =>
  array(
    string()
      .oneOf([...SUPPLIES])
      .required(),
  ).required();
const joint = object({
  sort: string()
    .oneOf([...COUPLINGS])
    .required(),
  x: number().required(),
})
  .noUnknown()
  .default(undefined)
  .optional();
const mount = object({
  sort: string()
    .oneOf([...MOUNTS])
    .required(),
  x: number().required(),
  y: number(),
  z: number().min(0).max(3),
}).noUnknown();

const caution = object({
  signal: string().oneOf(signals).required(),
  words: words(),
}).noUnknown();

const symptom = object({
  id: id(),
  words: words(),
  system: string()
    .oneOf([...SYSTEMS])
    .required(),
  harm: harm(),
  takes: array(string().oneOf(capabilities).required()).required(),
  fixes: array(words()).min(1),
  // Own checks that were kept before fixes belonged to symptoms say it; it means nothing any more.
  fixable: boolean(),
  condition: string(),
  worse: array(
    object({
      in: string().oneOf(circumstances),
      needed: string().oneOf(capabilities),
      harm: harm(),
      because: words(),
    })
      .noUnknown()
      .test(
        'in-or-needed',
        '${path} must say in which circumstance or for which capability',
        (value) => (value.in === undefined) !== (value.needed === undefined),
      ),
  ),
  bars: string().oneOf([...BARS]),
  listed: array(
    object({
      standard: id(),
      item: string().required(),
      words: words(),
      grade: string().oneOf(['minor', 'major']).required(),
      when: array(string().oneOf(circumstances).required()),
      from: number().integer().min(1).max(20),
      step: string(),
    }).noUnknown(),
  ),
  mostKmh: number().positive().max(130),
  fixLeaves: string().oneOf([...HARMS]),
  exceptions: array(
    object({ policy: id(), harm: harm(), because: words(), source: words() }).noUnknown(),
  ),
  scale: object({
    question: words(),
    steps: array(
      object({
        id: id(),
        words: words(),
        harm: harm(),
      }).noUnknown(),
    )
      .min(2)
      .required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  many: object({
    from: number().min(2),
    share: number().moreThan(0).max(1),
    harm: harm(),
    because: words(),
  })
    .noUnknown()
    .test(
      'from-or-share',
      '${path} must say from which count or share',
      (value) => !value || (value.from === undefined) !== (value.share === undefined),
    )
    .default(undefined)
    .optional(),
}).noUnknown();

/** Shape of one check. */
export const checkSchema = object({
  id: id(),
  title: words(),
  partName: string().trim().min(2).max(60),
  zone: id(),
  each: string(),
  method: string()
    .oneOf([...METHODS])
    .required(),
  phases: array(
    string()
      .oneOf([...PHASES])
      .required(),
  )
    .min(1)
    .required(),
  needs: array(
    string()
      .oneOf([...NEEDS])
      .required(),
  ).required(),
  helper: string().oneOf(['none', 'may-help', 'needed', 'driver-only']).required(),
  guide: string().oneOf(['engine-start']),
  moves: object({
    part: id(),
    by: string()
      .oneOf([...POWERS])
      .required(),
    held: string()
      .oneOf([...HELD_BY])
      .required(),
    clear: string().oneOf(['hand', 'zone']).required(),
    ends: words(),
    takesAway: string().min(3),
    proves: array(string().oneOf(capabilities).required()).required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  partOf: array(id()),
  precedes: array(
    string()
      .oneOf([...PRECEDED])
      .required(),
  ),
  leaves: id().optional(),
  use: object({
    of: id().required(),
    step: string()
      .oneOf([...USE_STEPS])
      .required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  air: object({
    atLeast: number().min(0).max(130),
    leaves: number().min(0).max(130),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  does: array(
    string()
      .oneOf([...VEHICLE_CHANGES])
      .required(),
  ),
  offers: array(
    string()
      .oneOf([...VEHICLE_CHANGES])
      .required(),
  ),
  when: array(string().oneOf(circumstances).required()),
  seconds: number().positive().max(900).required(),
  criterion: words(),
  source: string(),
  reading: object({
    kind: string().required(),
    ask: words(),
    typedIn: object({ metric: unitName, customary: unitName })
      .noUnknown()
      .default(undefined)
      .optional(),
    required: boolean().required(),
    byCard: boolean().when('required', { is: true, then: (schema) => schema.oneOf([false]) }),
    bands: array(
      object({
        side: string().oneOf(['below', 'above']).required(),
        limit: object({
          from: string().oneOf(['law', 'house', 'specification']).required(),
          value: number().when('from', { is: isOwn, otherwise: (schema) => schema.required() }),
          unit: string()
            .oneOf(Object.keys(UNITS))
            .when('from', { is: isOwn, otherwise: (schema) => schema.required() }),
          source: string(),
          field: string().when('from', { is: isOwn, then: (schema) => schema.required() }),
          share: number(),
        }).noUnknown(),
        symptom: id(),
        only: string().oneOf(['single', 'combination']),
        at: string().oneOf(['steered', 'not-steered']),
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
  // The same: an empty list in own checks that were kept before.
  fixes: array(words()).max(0),
  cautions: array(caution).required(),
  why: words(),
}).noUnknown();

/** Shape of one equipment module; ids that refer to each other are checked by {@link findCatalogueFaults}. */
export const moduleSchema: ObjectSchema<object> = object({
  id: id(),
  title: words(),
  vehicleClass: string()
    .oneOf([...VEHICLE_CLASSES])
    .required(),
  powered: boolean().required(),
  airBrakes: boolean().required(),
  opens: string().oneOf(['hood', 'cab']),
  length: number().positive().required(),
  width: number().positive().required(),
  height: number().positive().required(),
  capabilities: array(string().oneOf(capabilities).required()).required(),
  build: string().oneOf(['chassis', 'fitted', 'attachment']).required(),
  joints: object({ front: joint, rear: joint }).noUnknown().required(),
  mounts: array(mount.clone().required()).required(),
  mountsOn: mount.clone().default(undefined).optional(),
  gives: supplies(),
  requires: supplies(),
  specification: array(
    object({
      id: words(),
      title: words(),
      kind: string().oneOf(KINDS).required(),
      required: boolean(),
    }).noUnknown(),
  ).required(),
  zones: array(
    object({
      id: id(),
      title: words(),
      round: string()
        .oneOf([...ROUNDS])
        .required(),
      x: number().required(),
      y: number().required(),
      cautions: array(caution),
      tagged: array(
        string()
          .oneOf([...PHASES])
          .required(),
      ),
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
      axle: number().integer().min(0).max(15),
    }).noUnknown(),
  ).required(),
  runningGear: object({
    names: string().oneOf(['steer-and-drive', 'numbered', 'front-and-rear']).required(),
    width: number().positive().max(5).required(),
    axles: array(
      object({
        at: number().min(0).max(80).required(),
        tyres: number().oneOf([1, 2]).required(),
        steered: boolean(),
        driven: boolean(),
        lifts: boolean(),
      }).noUnknown(),
    )
      .min(1)
      .max(16)
      .required(),
    mayHaveDuals: boolean().required(),
    mostAxles: number().integer().min(1).max(16).required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  shapes: array(object()).required(),
  checks: array(checkSchema).min(1).required(),
  procedures: array(
    object({
      id: id(),
      title: words(),
      check: id(),
      stand: words(),
      clear: object({
        x: number().required(),
        y: number().required(),
        length: number().positive().required(),
        width: number().positive().required(),
      }).noUnknown(),
      cautions: array(caution).min(1).required(),
      steps: array(
        object({
          id: id(),
          say: words(),
          see: string(),
          who: string().oneOf(['driver', 'helper', 'both']),
          gate: object({ ask: words(), otherwise: words() })
            .noUnknown()
            .default(undefined)
            .optional(),
          chart: boolean(),
          holdSeconds: number().positive().max(1800),
          withinSeconds: number().positive().max(1800),
          fails: array(id()).required(),
        }).noUnknown(),
      )
        .min(3)
        .required(),
    }).noUnknown(),
  ).required(),
  contents: array(
    object({
      id: id(),
      check: id(),
      title: words(),
      count: number().integer().positive().required(),
      expires: boolean(),
    }).noUnknown(),
  ).required(),
  combinations: array(
    object({
      id: id(),
      parts: array(object({ check: id(), symptoms: array(id()) }).noUnknown())
        .min(2)
        .required(),
      harm: harm(),
      takes: array(string().oneOf(capabilities).required()).min(1).required(),
      because: words(),
    }).noUnknown(),
  ).required(),
  services: array(
    object({
      id: id(),
      title: words(),
      every: object({
        days: number().integer().positive(),
        km: number().positive(),
        hours: number().positive(),
        season: object({
          month: number().integer().min(1).max(12).required(),
          day: number().integer().min(1).max(31).required(),
        })
          .noUnknown()
          .default(undefined)
          .optional(),
      })
        .noUnknown()
        .test(
          'one-measure',
          '${path} must name one measure: days, km, hours or a season',
          (every) => Object.values(every).filter((value) => value !== undefined).length === 1,
        ),
      source: string(),
    }).noUnknown(),
  ).required(),
}).noUnknown();
