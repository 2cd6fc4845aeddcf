export { SignInScreen } from './sign-in-screen';
