export { HelpScreen } from './help-screen';
export { JoinScreen } from './join-screen';
