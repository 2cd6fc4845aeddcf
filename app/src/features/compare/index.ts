export { CompareScreen } from './compare-screen';
