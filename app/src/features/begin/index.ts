export { BeginScreen } from './begin-screen';
