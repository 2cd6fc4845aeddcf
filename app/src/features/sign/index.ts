export { SignScreen } from './sign-screen';
