export { LeaveScreen } from './leave-screen';
