export {
  composeRig,
  type CheckInstance,
  type Rig,
  type RigRequest,
  type RigZone,
  type Unit,
} from './compose';
export type { PlacedUnit } from './place';
