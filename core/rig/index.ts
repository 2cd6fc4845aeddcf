export { composeRig, rigCapabilities, type RigRequest } from './compose';
export type { CheckInstance, Rig, RigZone } from './rig';
export type { Unit } from './unit';
export { findModuleOfUnit, moduleOfUnit } from './fit';
export type { PlacedUnit } from './place';
export { findMisfits, findUnweighed, type Misfit } from './ratings';
export { MOST_UNITS } from './most-units';
