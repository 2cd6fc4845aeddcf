export {
  REPORT_FORMAT,
  REPORT_VERSION,
  type Addition,
  type Report,
  type ReportAnswer,
  type ReportDefect,
  type ReportReading,
} from './document';
export { buildReport, type BuildReportRequest } from './build-report';
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
  type SealRequest,
} from './seal';
export { toFileText, verifyReport, type Change, type Note, type Verification } from './verify';
export { reportSchema } from './schema';
