import { SOMETHING_ELSE } from '../../catalogue';
import { OTHER_QUESTIONS } from '../../grading';
import type { FaultedPayload } from '../payloads';
import type { EventKind } from './kind';

/** A fault, wherever it was found. */
export const faultSchema: EventKind<FaultedPayload>['schema'] = (f) =>
  f
    .object({
      key: f.key(),
      defectId: f.uuid().required(),
      symptomId: f.plainText(80).required(),
      stepId: f.plainText(80),
      // Metres.
      spot: f
        .object({
          x: f.finite().min(-50).max(50).required(),
          y: f.finite().min(-50).max(50).required(),
        })
        .noUnknown()
        .default(undefined)
        .optional(),
      // What no list names is told in words.
      note: f.plainText(1000).when('symptomId', {
        is: SOMETHING_ELSE,
        then: (text) => text.required('say what is wrong').min(3, 'say what is wrong'),
      }),
      photos: f.array(f.photo()).max(6).required(),
      fixed: f.plainText(300),
      raisedTo: f.word(['note', 'minor', 'major']),
      other: f
        .object(Object.fromEntries(OTHER_QUESTIONS.map((each) => [each, f.boolean()])))
        .noUnknown()
        .default(undefined)
        .optional(),
    })
    .noUnknown();
