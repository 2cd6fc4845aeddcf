export { WalkScreen } from './walk-screen';
