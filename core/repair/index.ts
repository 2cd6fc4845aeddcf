export {
  acknowledge,
  certify,
  type CertifyRefusal,
  type CertifyRequest,
  type DefectStatus,
} from './life';
export type { DefectRecord } from './defect-record';
