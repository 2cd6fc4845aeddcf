export {
  composeRig,
  rigCapabilities,
  type CheckInstance,
  type Rig,
  type RigRequest,
  type RigZone,
  type Unit,
} from './compose';
export { findModuleOfUnit, moduleOfUnit } from './fit';
export type { PlacedUnit } from './place';
export { findMisfits, findUnweighed, type Misfit } from './ratings';
export { MOST_UNITS } from './most-units';
