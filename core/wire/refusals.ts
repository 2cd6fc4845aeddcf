import type { PersonRefusal, Refusal } from '../inspection';
import type { LifeRefusal } from '../repair';

/** Why the server did not take an entry. The phone keeps the entry with the code and its sentence. */
export type RefusalCode =
  | Refusal
  | PersonRefusal
  | LifeRefusal
  | 'malformed'
  | 'unknown-type'
  | 'clock-ahead'
  | 'id-taken'
  | 'not-storable'
  | 'other-person'
  | 'unit-not-yours'
  | 'check-of-other-unit'
  | 'defect-of-other-unit'
  | 'catalogue-unknown'
  | 'content-unknown'
  | 'no-rig'
  | 'not-complete'
  | 'not-on-this-rig'
  | 'nothing-to-acknowledge'
  | 'unit-is-out'
  | 'report-too-old'
  | 'may-not-leave'
  | 'no-such-finding'
  | 'major-not-overridden'
  | 'no-such-mechanic'
  | 'not-for-helpers'
  | 'unit-drives'
  | 'no-such-tag'
  | 'other-tag';

const ENGLISH: Readonly<Record<RefusalCode, string>> = {
  malformed: 'This entry cannot be read. It stays on the device; report it to the office.',
  'unknown-type': 'This entry is of a kind that the server does not know. Update the server.',
  'clock-ahead':
    'The clock of this device was ahead of the real time when this was entered. Set it, then enter this again.',
  'id-taken':
    'Another entry has the number of this one, so it was not stored. It stays on the device; enter it again.',
  'not-storable':
    'The server could not store this entry. It stays on the device; tell the office, who find it in the log of the server.',
  'other-person':
    'This entry was made by somebody else. It is sent when that person signs in here.',
  'unit-not-yours': 'The unit does not belong to your depot. Ask the office to move it or you.',
  'check-of-other-unit': 'The check belongs to a unit that is not part of this walk.',
  'defect-of-other-unit':
    'This entry names a defect of another vehicle. It stays on the device; report the fault anew.',
  'catalogue-unknown':
    'The walk was made with other content than the server has. Reload the app and walk again.',
  'content-unknown':
    'The walk was made by house rules that this depot never had. Reload the app and walk again.',
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
  'own-report':
    'You reported this defect yourself. Under this policy somebody else certifies the repair.',
  'no-repair-not-allowed':
    'This policy does not know “no repair needed”. Repair it, or put it off if its grade allows it.',
  'changed-meanwhile':
    'Somebody changed this defect while you had it open. Read it again, then decide.',
  'not-awaiting': 'This defect does not wait for a second signature.',
  'own-repair': 'The second signature must be of somebody else than the mechanic.',
  'workshop-only': 'Only the workshop and supervisors do this.',
  'supervisors-only': 'Only a supervisor does this.',
  'driver-or-workshop-only':
    'This walk belongs to somebody else. Its own driver, the workshop or a supervisor enters this.',
  'other-walk': 'This walk belongs to somebody else. Only its own driver signs and reads for it.',
  'not-on-this-rig':
    'This repair is on a unit that is not part of this walk. Its own driver reads it.',
  'nothing-to-acknowledge': 'This defect is not mended yet, so there is no repair to read.',
  'unit-is-out': 'A unit of this rig is out already. Have it returned first.',
  'report-too-old': 'The walk is too old. Walk round it again before it leaves.',
  'may-not-leave': 'This rig may not leave for this job.',
  'no-such-finding': 'There is no such condition to take off.',
  'major-not-overridden':
    'This is major. Nobody may override it; it must be repaired and certified.',
  'helper-there':
    'Somebody helps on this walk already. They must leave before somebody else comes.',
  'not-for-helpers': 'This check is the driver’s own. A helper does not answer it.',
  'unit-drives': 'The unit that drives cannot stay behind.',
  'no-such-tag': 'There is no tag with this code. Read it again, or have a new sheet printed.',
  'other-tag': 'This is the tag of another place.',
  'no-such-mechanic': 'Choose a mechanic of this depot.',
  'already-signed-out': 'This rig was signed out on this walk already.',
  'not-signed-out': 'This rig was not signed out on this walk.',
  'already-returned': 'This rig was returned already.',
  'not-a-pre-trip': 'Only a pre-trip walk covers a sign-out. Walk round it before it leaves.',
  'already-overridden': 'A supervisor has taken this condition off already.',
};

/** A refusal as a sentence that says what to do. */
export const sayRefusal = (code: RefusalCode): string => ENGLISH[code];
