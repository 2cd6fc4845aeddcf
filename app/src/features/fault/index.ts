export { FaultScreen } from './fault-screen';
