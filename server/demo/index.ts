export { seedDemo } from './seed';
export { people as demoPeople } from './world';
