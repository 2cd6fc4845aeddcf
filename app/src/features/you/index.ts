export { YouScreen } from './you-screen';
