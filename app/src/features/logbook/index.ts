export { LogbookScreen } from './logbook-screen';
