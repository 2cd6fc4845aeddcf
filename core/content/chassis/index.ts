export {
  chassisGear,
  chassisPlaces,
  chassisShapes,
  chassisZones,
  type ChassisMeasures,
} from './measures';
export { truckSpecification as chassisSpecification } from './specification';
export { fluidBrakeChecks, fluidBrakeSpecification, ofFluidBraked } from './fluid-brakes';
export { ofChassis } from './of-chassis';
export { offRoadDriveLine } from './off-road';
