export { preparePhoto } from './prepare-photo';
export { keepAppOffline } from './offline';
