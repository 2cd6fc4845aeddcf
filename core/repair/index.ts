export {
  acknowledge,
  certify,
  countersign,
  isStale,
  type CertifyRequest,
  type CountersignRequest,
  type LifeRefusal,
} from './life';
export { findReturn, type FormerRepair, type FoundAgain, type Return } from './returns';
export { findWeakSpots, type PartCount, type WalkCount, type WeakSpot } from './weak-spots';
export {
  standOfDefect,
  type Certificate,
  type DefectReport,
  type StandingDefect,
} from './several-walks';
export { openOnUnits, type OpenOnUnits, type DefectOnUnit } from './open-on-units';
export type { DefectRecord, DefectStep } from './defect-record';
