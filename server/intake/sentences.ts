import type { Refusal } from '@nazar/core/inspection';
import type { CertifyRefusal } from '@nazar/core/repair';

export type RefusalCode =
  | Refusal
  | CertifyRefusal
  | 'malformed'
  | 'unknown-type'
  | 'other-person'
  | 'unit-not-yours'
  | 'check-of-other-unit'
  | 'catalogue-unknown'
  | 'no-rig'
  | 'not-complete'
  | 'mechanics-only';

/** Each refusal as a sentence that says what to do. */
export const sentences: Readonly<Record<RefusalCode, string>> = {
  malformed: 'This entry cannot be read. It stays on the device; report it to the office.',
  'unknown-type': 'This entry is of a kind that the server does not know. Update the server.',
  'other-person':
    'This entry was made by somebody else. It is sent when that person signs in here.',
  'unit-not-yours': 'The unit does not belong to your depot. Ask the office to move it or you.',
  'check-of-other-unit': 'The check belongs to a unit that is not part of this walk.',
  'catalogue-unknown':
    'The walk was made with other content than the server has. Reload the app and walk again.',
  'no-rig': 'These units do not make a rig. Choose them anew.',
  'not-begun': 'The walk that this entry belongs to was never begun here.',
  'already-begun': 'This walk was begun already.',
  'already-signed':
    'The walk is signed and sealed; it is not changed any more. Add a note instead.',
  'not-sealed': 'The walk is not signed yet, so its faults cannot be certified.',
  'no-such-defect': 'No such defect was reported in this walk.',
  'already-certified': 'Somebody has certified this defect already. Reload the list.',
  'server-only': 'Only the server seals.',
  'not-complete':
    'Some checks have no answer yet. Answer them or say why they could not be looked at.',
  'mechanics-only': 'Only a mechanic certifies a repair.',
  'not-open': 'This defect is not open any more. Reload the list.',
  'grade-not-deferrable':
    'A defect of this grade cannot be put off. Repair it or keep the unit in.',
  'until-passed': 'Choose a day after today for the deferral.',
};
