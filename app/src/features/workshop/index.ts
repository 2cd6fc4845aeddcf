export { WorkshopScreen } from './workshop-screen';
