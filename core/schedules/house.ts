/** Where content is stricter than the schedule by its own will, and why; a depot may choose the policy in which it is not. */
export const HOUSE_STRICTER: Readonly<Record<string, string>> = {
  'brake.hose hose-leak': 'A hose that hisses bursts at the next hard stop (49 CFR 393.45).',
  'brake.chamber chamber-leak':
    'That wheel does not brake, and nobody knows for how long (393.48).',
  'air.tanks tank-hiss': 'The reserve for the next stop runs out of it (393.50).',
  'coupling.gladhands gladhand-hiss': 'It feeds the brakes of the trailer (393.45).',
  'coupling.lines line-hiss': 'It feeds the brakes of the trailer (393.45).',
  'air.build-up build-up-slow':
    'A compressor that does not keep up leaves no air for the second stop (571.121 S5.1.1).',
  'coupling.bolts plate-loose': 'The whole trailer hangs on these bolts (393.70).',
  'cab.pedals pedal-blocked': 'A pedal that sticks is no brake, and no end of gas (393.40).',
  'cab.seat seat-slides': 'A seat that slides takes the foot off the brake.',
  'emergency.extinguisher extinguisher-gone': 'No power unit is driven without one (393.95(a)).',
  'emergency.extinguisher extinguisher-low': 'Without pressure it is none (393.95(a)).',
  'fuel.tank cap-missing': 'Fuel runs out in the first bend (393.67(c)).',
  'mirror.outside mirror-broken': 'One side is not seen at all (393.80).',
  'mirror.set mirror-blind': 'One side is not seen at all (393.80).',
  'glass.windscreen screen-crack-swept': 'Cracks that cross before the driver (393.60(c)).',
  'cab.horn horn-dead': 'It has to have one that works (393.81).',
  'brake.fluid fluid-low':
    'Fluid that is low has gone somewhere; until that is found it is a leak.',
  'lamp.front-signal lamp-out': 'Who comes the other way does not see the turn (393.11).',
  'tyre.walls bulge': 'It bursts, and takes the steering with it (393.75(a)).',
  'tyre.valve valve-hiss': 'A leak that is heard is flat within the hour (393.75(a)).',
  'ramp ramp-dead': 'Takes the ramp, not the bus.',
  'seats seat-loose': 'It takes the passengers along; the bus itself may be driven empty.',
  'belts belt-dead': 'It takes the passengers along; the bus itself may be driven empty.',
};
