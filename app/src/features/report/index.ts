export { ReportScreen } from './report-screen';
