export { RoadScreen } from './road-screen';
