import type { ServerCheck } from '@nazar/core/inspection';
import type { AnyCheck } from '../held';
import { isMinorFinding, rigMayLeave, wasAskedBeforeLeaving } from './leaving';
import {
  helperMayAnswer,
  isOnRig,
  isTagOfThatStop,
  isWalkComplete,
  unitMayStayBehind,
  unitsMakeARig,
} from './walking';
import {
  isCertificateAllowed,
  isDefectOnRig,
  isMechanicOfTheDepot,
  isOpen,
  isRepairToRead,
  isSecondSignatureWanted,
} from './workshop';

/** How the server answers each of the questions that a type of event puts to it. */
export const CHECKS: Readonly<Record<ServerCheck, AnyCheck>> = {
  'units-make-a-rig': unitsMakeARig,
  'check-on-rig': isOnRig,
  'helper-may-answer': helperMayAnswer,
  'tag-of-that-stop': isTagOfThatStop,
  'unit-may-stay-behind': unitMayStayBehind,
  'walk-is-complete': isWalkComplete,
  'defect-on-rig': isDefectOnRig,
  'repair-to-read': isRepairToRead,
  'finding-may-be-overridden': isMinorFinding,
  'asked-before-leaving': wasAskedBeforeLeaving,
  'rig-may-leave': rigMayLeave,
  'mechanic-of-the-depot': isMechanicOfTheDepot,
  'defect-is-open': isOpen,
  'certificate-is-allowed': isCertificateAllowed,
  'second-signature-is-wanted': isSecondSignatureWanted,
};
