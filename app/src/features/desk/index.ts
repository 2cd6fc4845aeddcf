export { DeskScreen } from './desk-screen';
