export { VerifyScreen } from './verify-screen';
