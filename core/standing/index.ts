export { rigOfWalk, standOf, type BegunRig, type Standing, type WalkReference } from './stand-of';
