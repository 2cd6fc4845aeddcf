import { PHASES, type Phase } from '../catalogue';
import { composeRig, type Rig, type Unit } from '../rig';
import { catalogue } from '.';

/*
 * What a person of each job does in a day, in order, written down by hand from the work and not from the catalogue. Each line must be
 * asked of them in that walk: by a check or a step of a sequence that speaks of it. The words are what somebody would call it; several
 * are given where people differ.
 *
 * `# who | units, what is fitted after +`, then a line for each thing: walk | what is done
 */
const DAYS = `
# driver of a tractor and semi-trailer | road-tractor, semi-trailer
pre-trip | lean|sag
pre-trip | drops|puddle|ground under
pre-trip | dip the oil|oil.*(dip|level)|read the oil
pre-trip | coolant
pre-trip | belt
pre-trip | steering (box|gear)|drag link|tie rod
pre-trip | wheel nuts
pre-trip | tread
pre-trip | hub.*(oil|seal)|oil seal
pre-trip | spring
pre-trip | brake (lining|chamber|hose)|slack
pre-trip | fuel.*(cap|tank)
pre-trip | fifth.wheel|jaws
pre-trip | apron|plate.*gap|no gap|rests on
pre-trip | glad.?hand|air lines|lines.*(couple|hose)
pre-trip | landing gear|legs
pre-trip | mud flap
pre-trip | reflect
pre-trip | door.*(latch|hing|seal)
pre-trip | seat belt
pre-trip | mirror
pre-trip | horn
pre-trip | wipers
pre-trip | washer
pre-trip | extinguisher
pre-trip | triangles
pre-trip | build.?up|air builds|85 to 100
pre-trip | leak.*(released|applied)|applied leak
pre-trip | low.?(air|pressure) warning|warning.*(60|low)
pre-trip | spring brakes?|pops? out|automatic
pre-trip | tug
pre-trip | service brake|walking pace|roll at
pre-trip | ABS
under-way | tyres?
under-way | hubs?
under-way | lamps
under-way | coupl|jaws|fifth
under-way | load
under-way | oil pressure
under-way | coolant temperature
under-way | pulls|shake|noise
post-trip | tanks.*drain|drain.*tank
post-trip | new damage|damage|fresh
weekly | battery
weekly | pressure

# plow driver on a winter night | straight-truck-air+power-take-off+dump-body, front-plow, slide-in-spreader
hook-up | bed.*(swept|clean)|sweep
hook-up | slide it in
hook-up | centre|middle
hook-up | tie.?down|chain|ratchet
hook-up | hoses?
hook-up | plug|lamp
hook-up | (pins?|latch).*(plow|home)|pins
pre-trip | cutting edge|edge
pre-trip | shoes?
pre-trip | trip.*(spring|edge)|springs? of the
pre-trip | lift.*(chain|cable)
pre-trip | hydraulic.*(oil|tank|level)
pre-trip | hoses?
pre-trip | up and down|raise.*lower|through its travel|run the plow
pre-trip | angle|left and right
pre-trip | plow lamps|lamps of the plow|lamps.*(plow|high)
pre-trip | beacon
pre-trip | heater|defrost
pre-trip | wiper
pre-trip | fuel
pre-trip | radio|channel|call sign
pre-trip | storm card|storm|route
pre-trip | clothing|gloves|dry
pre-trip | conveyor
pre-trip | spinner
pre-trip | gate
pre-trip | hopper|screen
pre-trip | (rate|card|setting).*(spread|catch|gram)|catch
under-way | load.*(left|level)|how much
under-way | mirror
under-way | ice|snow.*(lamps|steps)
under-way | chain
post-trip | wash|rinse|hose
post-trip | edge|shoes
post-trip | empty
storage | unhook|stands
storage | grease|oil.*chain|coat

# school bus driver | school-bus+passenger-lift
pre-trip | lean|ground
pre-trip | oil
pre-trip | wheel nuts
pre-trip | stop.arm
pre-trip | crossing arm
pre-trip | red lamps|eight.?(way|lamp)|amber.*red|warning lamps
pre-trip | entrance door
pre-trip | steps?|handrail
pre-trip | seats?
pre-trip | emergency (door|exit|window)|exits
pre-trip | buzzer
pre-trip | first.?aid
pre-trip | body.?fluid
pre-trip | extinguisher
pre-trip | triangles|reflectors
pre-trip | mirrors?
pre-trip | aisle
pre-trip | radio
pre-trip | parking brake
pre-trip | lift
under-way | railway|crossing|tracks
under-way | seated|sit
under-way | temperature|warm|cold
post-trip | sleep|last row|child.*(aboard|left)|walk to the (back|rear)
post-trip | left behind|lost|belongings|forgotten
before-use | clear zone|room
before-use | platform
before-use | barrier
before-use | belt
before-use | carry|aboard
before-use | angle

# crane operator on a four-axle carrier | mobile-crane
pre-trip | tyres|tread
pre-trip | oil
pre-trip | outriggers?.*(pin|lock|in)
pre-trip | hook.*(tied|lashed)
pre-trip | turntable.*(lock|bolt)
pre-trip | steering
pre-trip | brake
before-use | ground
before-use | overhead|lines
before-use | rope
before-use | hook block|hook.*latch
before-use | sheave
before-use | boom
before-use | chart
before-use | load indicator|moment
before-use | two.?block
before-use | level
before-use | mats?|pads?|floats?
before-use | pin
before-use | tyres? (free|off)|off the ground|clear of the ground|weight off
before-use | signal|guide
before-use | wind
before-use | gauges
before-use | stow
under-way | outriggers?
monthly | rope
weekly | grease

# fire fighter who takes over the ladder truck | fire-pumper+aerial-ladder
pre-trip | fuel
pre-trip | oil
pre-trip | batter
pre-trip | warning lamps|lamp test
pre-trip | siren|air horn
pre-trip | breathing|apparatus|cylinder
pre-trip | tank.*(water|full)|water tank
pre-trip | foam
pre-trip | pump
pre-trip | relief|governor
pre-trip | valves?.*(drain|close|shut)|drains?
pre-trip | hose
pre-trip | ladders?
pre-trip | compartment|doors
pre-trip | radio
pre-trip | seat belt|belts
pre-trip | outrigger|stabili|legs?
pre-trip | rungs?
pre-trip | cable|cables
pre-trip | hydraulic
pre-trip | overrides|emergency.*(pump|stop)
pre-trip | dead.?man
before-use | ground
before-use | lines
before-use | pads?|plates?
before-use | level
before-use | cradle|bed
weekly | generator
weekly | interlock|with an outrigger in
weekly | (pump|prim).*(run|test|dry)|vacuum

# deliverer with a rail lift | straight-truck-hydraulic+liftgate-rail
pre-trip | battery
pre-trip | chain|cable
pre-trip | slider|rail
pre-trip | platform
pre-trip | cart stop
pre-trip | switch
pre-trip | latch|hook
pre-trip | rated|rating
pre-trip | level.*floor|floor
before-use | look.*(round|behind)|get out
before-use | nose|slope|level
before-use | clear zone|nobody
before-use | gloves|feet
before-use | stops
before-use | fold|stow
before-use | latch
under-way | latch|stowed
post-trip | switch.*off
monthly | grease|oil the
weekly | pump|oil

# loader crane driver with a flatbed | straight-truck-air+power-take-off+loader-crane+platform-body
pre-trip | hook
pre-trip | (slew|mast|column|base|mount).*(bolt|crack)|bolts
pre-trip | hoses?
pre-trip | outriggers?|legs
pre-trip | remote|radio|levers
pre-trip | emergency stop
pre-trip | chains?|straps?|slings?
pre-trip | headboard
pre-trip | revers.*alarm|back.?up alarm
before-use | ground
before-use | lines
before-use | mass|weight
before-use | keep|cones
before-use | helmet
before-use | chart
before-use | pads
before-use | sling
under-way | strap|chain|load
under-way | stowed
weekly | grease|oil

# dump truck driver | straight-truck-air+power-take-off+dump-body
pre-trip | tailgate
pre-trip | hinge|pivot
pre-trip | hoist|cylinder
pre-trip | prop
pre-trip | tarp
pre-trip | body.?up|alarm
pre-trip | power take-off
pre-trip | hydraulic
before-use | lines|look up
before-use | gate
post-trip | body.*(down|clean|residue|stuck)|residue|stuck
weekly | grease

# shunter in the yard | terminal-tractor, semi-trailer
pre-trip | boom
pre-trip | fifth.?wheel|jaws
pre-trip | wait.to.start
pre-trip | rear door|rear window|door
pre-trip | seat
pre-trip | beacon|flash
pre-trip | back.?up alarm|reverse
pre-trip | air line|lines|hose
pre-trip | cab.*(tilt|latch|lock)
pre-trip | gear|direction
under-way | speed|turn|raised
under-way | landing gear|legs
post-trip | neutral
post-trip | brake
weekly | grease|tilt

# machine carrier with a tilt trailer and a digger | straight-truck-air+power-take-off, tilt-trailer, tracked-digger
hook-up | level
hook-up | height
hook-up | hook|latch|pintle|eye
hook-up | chains?
hook-up | pressure and return|hydraulic
hook-up | jack|stand
pre-trip | chain
pre-trip | boom
pre-trip | breakaway
pre-trip | count.*chains
pre-trip | height
under-way | chain|tied|pull at
before-use | ground
before-use | bucket|coupler
before-use | track
before-use | oil
before-use | horn
before-use | warm
before-use | alarm
before-use | belt
before-use | people|nobody|way
before-use | tied down|chain

# heavy hauler with a transporter | off-road-tractor, lowboy-transporter
pre-trip | inflation
pre-trip | engine brake
weekly | transmission
pre-trip | neck.*(pin|lock)
pre-trip | steer
pre-trip | auxiliary engine
pre-trip | throttle
pre-trip | sediment|separator|bowl
pre-trip | hydraulic.*(oil|tank)
pre-trip | ramps?
pre-trip | rings?
pre-trip | signs?|flags?|beacon
pre-trip | spare
pre-trip | tread
pre-trip | roll (test|at|over)|brakes? free
under-way | hubs?
under-way | chain|tied|pull at
under-way | lock
post-trip | hubs?
post-trip | drain
weekly | grease

# driver of a light four-wheel-drive with a pintle | light-four-wheel-drive+front-winch
pre-trip | brake fluid
pre-trip | master cylinder
pre-trip | boots?
pre-trip | brake lamp|warning lamp
pre-trip | parking brake
pre-trip | clutch|transmission
pre-trip | four.?wheel|transfer|hub
pre-trip | pintle|hook
pre-trip | winch
pre-trip | spare
pre-trip | tread
before-use | cable
before-use | anchor|drum
under-way | slip|pull
weekly | batter

# driver of a van with a side lift | passenger-van+passenger-lift
pre-trip | brake fluid|fluid
pre-trip | seats?
pre-trip | door
pre-trip | securement|tie-down
pre-trip | extinguisher
pre-trip | first.?aid
pre-trip | interlock|must not move
pre-trip | lift.*(cycle|through)|cycle
pre-trip | release.*hand|by hand|hand pump
before-use | clear
before-use | barrier
before-use | brakes of the chair|chair.*brake
before-use | faces? out|facing
before-use | belt
post-trip | stowed
post-trip | aboard|left|seat

# fire fighter at the pump | fire-pumper
pre-trip | fuel
pre-trip | oil
pre-trip | coolant
pre-trip | exhaust fluid|particulate
pre-trip | warning lamps
pre-trip | siren|public address
pre-trip | water|tank
pre-trip | foam
pre-trip | hose
pre-trip | ladders?
pre-trip | tools?|equipment
pre-trip | breathing|cylinder
pre-trip | caps|valves
weekly | pump
weekly | generator
weekly | drain
post-trip | hose|tank|water

# user of a small utility vehicle | light-utility
pre-trip | oil
pre-trip | brake
pre-trip | belt
pre-trip | tyres?|tread
pre-trip | roll.?over|frame|bar
pre-trip | seat belt|belts?
pre-trip | steering
pre-trip | load|bed
pre-trip | lamps?
pre-trip | screens?|intake
monthly | label

# operator of a digger that is led by radio | straight-truck-air, tag-trailer-air, outrigger-digger
pre-trip | leg.*(in|pinned)|pinned
pre-trip | chain
before-use | slope
before-use | radio|pendant
before-use | emergency stop
before-use | selector
before-use | motion alarm|alarm
before-use | tilt alarm
before-use | tracks?
before-use | wide|width
before-use | lowest.*(speed|rev)|low.*(speed|idle)|engine.*(low|slow)
before-use | hydraulic
before-use | pads
before-use | doctor|medical|inject

# driver who brings a combined body out | straight-truck-air+power-take-off+dump-spreader-body+wetting-system
pre-trip | conveyor
pre-trip | spinner
pre-trip | liquid|tank
pre-trip | pump
pre-trip | nozzle
pre-trip | hoist|raise
pre-trip | prop
pre-trip | tailgate|gate
pre-trip | screen|rate
weekly | grease
post-trip | wash|rinse|clean
before-use | lines

# wing plow operator | straight-truck-air+power-take-off+dump-body, front-plow, wing-plow
pre-trip | wing.*(pin|cable|chain)|pins
pre-trip | cable
pre-trip | edge
pre-trip | shoes?
pre-trip | lamp
pre-trip | hydraulic|hose
pre-trip | mirror|see
hook-up | wing
storage | wing
under-way | latch|lock|chain
`;

interface Line {
  readonly phase: Phase;
  readonly words: string;
}

interface Day {
  readonly who: string;
  readonly units: readonly Unit[];
  readonly lines: readonly Line[];
}

let number = 0;
const unitOf = (text: string): Unit => {
  const [moduleId, ...fitted] = text.trim().split('+');
  number += 1;
  return {
    id: `work-${number}`,
    number: String(number),
    title: moduleId,
    plate: '',
    moduleId,
    fitted,
    specification: {},
  };
};

const days: Day[] = DAYS.trim()
  .split(/\n\n/)
  .map((block) => {
    const [head, ...lines] = block.split('\n');
    const [who, units] = head.replace(/^# /, '').split(' | ');
    return {
      who,
      units: units.split(',').map(unitOf),
      lines: lines.map((line) => {
        const at = line.indexOf(' | ');
        return { phase: line.slice(0, at) as Phase, words: line.slice(at + 3) };
      }),
    };
  });

/** Everything that is said to whoever makes the checks of this walk. */
function saidIn(rig: Rig): string[] {
  const procedures = rig.units.flatMap(({ module }) => module.procedures);
  return rig.instances.flatMap(({ check }) => [
    [
      check.title,
      check.criterion,
      check.partName,
      ...check.symptoms.map(({ words }) => words),
      ...check.cautions.map(({ words }) => words),
    ].join(' · '),
    ...procedures
      .filter((procedure) => procedure.check === check.id)
      .flatMap(({ steps }) => steps.map(({ say, see, gate }) => [say, see, gate?.ask].join(' · '))),
  ]);
}

describe.each(days)('a day of a $who', ({ units, lines }) => {
  it('is told in walks that there are', () => {
    expect(lines.map(({ phase }) => phase).filter((phase) => !PHASES.includes(phase))).toEqual([]);
  });

  it('has everything in it that they do', () => {
    const missed = lines.filter(({ phase, words }) => {
      const rig = composeRig({ units, phase, circumstances: ['freezing', 'dark'], catalogue });
      return !saidIn(rig).some((said) => new RegExp(words, 'i').test(said));
    });
    expect(missed.map(({ phase, words }) => `${phase}: ${words}`)).toEqual([]);
  });
});
