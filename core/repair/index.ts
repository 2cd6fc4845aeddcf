export {
  OPEN_STATUSES,
  UNREAD_STATUSES,
  acknowledge,
  certify,
  countersign,
  isStale,
  type CertifyRequest,
  type CountersignRequest,
  type DefectStatus,
  type LifeRefusal,
} from './life';
export { findReturn, type FormerRepair, type FoundAgain, type Return } from './returns';
export { findWeakSpots, type PartCount, type WalkCount, type WeakSpot } from './weak-spots';
export type { DefectRecord, DefectStep } from './defect-record';
