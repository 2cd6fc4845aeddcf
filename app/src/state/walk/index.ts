export type { NewEntry } from '../log';
export {
  keepLastOrder,
  keepPlan,
  keepRouteStyle,
  readLastOrder,
  readRouteStyle,
  type KeptPlan,
  type ToldReplan,
} from './plans';
export { codeOfWalk, findWalkToHelp, useHearing, useRemoteLog, type Hearing } from './remote-log';
export { useWalkSession, type WalkSession } from './session';
export { previewFault, useWalk, type Walk } from './use-walk';
