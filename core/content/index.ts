export { catalogue } from './modules';
