export { RulesScreen } from './rules-screen';
