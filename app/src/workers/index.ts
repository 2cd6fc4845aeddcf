export { keepAwake } from './keep-awake';
export { keepAppOffline } from './offline';
export { preparePhoto } from './prepare-photo';
export { askToTell, mayTell, ring, type Telling } from './ring';
