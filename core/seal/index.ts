export {
  FIRST_LINK,
  hashOf,
  isSignatureGood,
  makeSeal,
  partDigests,
  toCanonical,
  type ChainLink,
  type ReportFile,
  type Seal,
  type SealedAddition,
  type SealedReport,
  type SealedHead,
  type SealRequest,
} from './seal';
export { toFileText, verifyReport, type Note, type Verification } from './verify';
export type { Change } from './change';
export { endOf, isHeadGood, makeHead } from './head';
export { digestOfLog } from './log-digest';
export { nextAdditionLink } from './additions';
export { findChainFaults, type ChainEntry, type ChainFault } from './chain';
