import { CATALOGUE_VERSION, type Catalogue } from '../../catalogue';
import { schoolBus } from './buses/school-bus';
import { transitBus } from './buses/transit-bus';
import { dumpBody } from './dump-body';
import { dumpSpreaderBody } from './dump-spreader-body';
import { aerialLadder } from './fire/aerial';
import { firePumper } from './fire/fire-pumper';
import { lightFourWheelDrive } from './light-four-wheel-drive';
import { outriggerDigger } from './machines/outrigger-digger';
import { offRoadTractor } from './tractors/off-road-tractor';
import { van } from './van';
import { hydraulicTruck } from './hydraulic-truck';
import { columnLift } from './column-lift';
import { lightUtility } from './light-utility';
import { loaderCrane } from './loader-crane';
import { mobileCrane } from './machines/mobile-crane';
import { trackedDigger } from './machines/tracked-digger';
import { offRoadTruck } from './off-road-truck';
import { passengerLift } from './passenger-lift';
import { platformBody } from './platform-body';
import { frontPlow } from './front-plow';
import { powerTakeOff } from './power-take-off';
import { railLift } from './rail-lift';
import { spreader } from './spreader';
import { straightTruck } from './straight-truck';
import { tagTrailer } from './tag-trailer';
import { roadTractor } from './tractors/road-tractor';
import { terminalTractor } from './tractors/terminal-tractor';
import { converterDolly } from './trailers/converter-dolly';
import { lowboy } from './trailers/lowboy';
import { semiTrailer } from './trailers/semi-trailer';
import { tiltTrailer } from './trailers/tilt-trailer';
import { underbodyBlade } from './underbody-blade';
import { wettingSystem } from './wetting-system';
import { winch } from './winch';
import { wingPlow } from './wing-plow';

/** Everything that ships, under {@link CATALOGUE_VERSION}. */
export const catalogue: Catalogue = {
  version: CATALOGUE_VERSION,
  modules: [
    straightTruck,
    tagTrailer,
    hydraulicTruck,
    roadTractor,
    terminalTractor,
    offRoadTruck,
    lightUtility,
    schoolBus,
    transitBus,
    passengerLift,
    powerTakeOff,
    dumpBody,
    dumpSpreaderBody,
    platformBody,
    frontPlow,
    wingPlow,
    underbodyBlade,
    spreader,
    wettingSystem,
    railLift,
    columnLift,
    semiTrailer,
    lowboy,
    tiltTrailer,
    converterDolly,
    loaderCrane,
    mobileCrane,
    aerialLadder,
    firePumper,
    trackedDigger,
    winch,
    lightFourWheelDrive,
    van,
    offRoadTractor,
    outriggerDigger,
  ],
};
