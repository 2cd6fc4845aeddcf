export {
  type Addition,
  type Report,
  type ReportAnswer,
  type ReportDefect,
  type ReportReading,
  type ReportRig,
  type ReportUnit,
} from './document';
export { buildReport, type BuildReportRequest } from './build-report';
export { marksOfReport, rigOfReport, type ReportMark } from './drawing';
export { reportSchema } from './schema';
export { hoursLate } from './hours-late';
