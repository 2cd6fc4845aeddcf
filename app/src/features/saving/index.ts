export { SavingLine } from './saving-line';
