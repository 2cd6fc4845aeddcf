export { RigBuilderScreen, type RigBuilderScreenProps } from './rig-builder-screen';
