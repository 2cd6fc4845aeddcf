/**
 * Defects that the schedules of NSC Standard 13 name, in their own order of thought: what is minor, what is major, and which symptoms of
 * ours they are, as `tail of the check's id` `symptom`, with `#step` where the extent decides. Read beside the printed schedule.
 */
export interface NamedDefect {
  readonly words: string;
  readonly grade: 'minor' | 'major';
  /** Only then, as the schedule says: "when use of lamps is required", "when necessary for the weather". */
  readonly when?: readonly ('dark' | 'wet' | 'freezing' | 'passengers')[];
  /** So many of them: "both", "more than one". */
  readonly from?: number;
  readonly symptoms: readonly string[];
}

const minor = (words: string, symptoms: readonly string[], more: Partial<NamedDefect> = {}) =>
  ({ words, grade: 'minor', symptoms, ...more }) as const satisfies NamedDefect;
const major = (words: string, symptoms: readonly string[], more: Partial<NamedDefect> = {}) =>
  ({ words, grade: 'major', symptoms, ...more }) as const satisfies NamedDefect;

export const airBrake: readonly NamedDefect[] = [
  minor('Audible air leak', [
    'brake.hose hose-leak',
    'brake.chamber chamber-leak',
    'air.tanks tank-hiss',
    'air.dryer dryer-hiss',
    'coupling.gladhands gladhand-hiss',
    'coupling.lines line-hiss',
    'lines.gladhands seal-worn',
  ]),
  minor('Slow air pressure build-up rate', ['air.build-up build-up-slow']),
  major('Pushrod stroke of any brake exceeds the adjustment limit', [
    'month.stroke stroke-long',
    'brake.slack slack-long',
  ]),
  major('Air loss rate exceeds the prescribed limit', [
    'air.leak-released leak-over',
    'air.leak-applied leak-over',
  ]),
  major('Inoperative towing vehicle (tractor) protection system', [
    'brake.protection protection-dead',
    'air.automatic automatic-late',
  ]),
  major('Low air warning system fails or is activated', [
    'air.warning warning-late',
    'air.warning warning-dead',
  ]),
  major('Inoperative service, parking or emergency brake', [
    'brake.service late',
    'brake.parking parking-slips',
    'brake.trailer trailer-brake-none',
    'brake.trailer-hand hand-dead',
  ]),
];

export const cargo: readonly NamedDefect[] = [
  minor('Insecure or improper load covering', [
    'tarp tarp-torn',
    'tarp tarp-loose',
    'dump.tarp tarp-torn',
  ]),
  major('Insecure cargo', [
    'load.secured load-loose',
    'load.secured load-moves',
    'load load-loose',
    'tied chain-loose',
  ]),
  major('Absence, failure or deterioration of a required securement device', [
    'load.secured strap-cut',
    'load.secured too-few',
  ]),
];

export const coupling: readonly NamedDefect[] = [
  minor('Coupler or mounting has a loose or missing fastener', ['coupling.bolts plate-loose']),
  major('Coupler is insecure or its movement exceeds the prescribed limit', [
    'fifth-wheel.mount mount-crack',
    'fifth-wheel.gap gap',
    'fifth-wheel.slide slide-unlocked',
    'kingpin kingpin-bent',
  ]),
  major('Coupling or locking mechanism is damaged or fails to lock', [
    'fifth-wheel.jaws jaws-open',
    'fifth-wheel.jaws jaws-slack',
    'fifth-wheel.handle handle-out',
    'fifth-wheel.plate plate-crack',
    'coupling.pintle pintle-crack',
    'coupling.pintle latch-open',
    'coupling.eye eye-crack',
    'coupling.eye eye-unlocked',
    'kingpin apron-crack',
  ]),
  major('Defective, incorrect or missing safety chain or cable', [
    'coupling.chain chain-missing',
    'coupling.chain chain-off',
    'coupling.chain chain-worn',
  ]),
];

export const controls: readonly NamedDefect[] = [
  minor('Pedal, gauge, indicator or instrument does not work properly', [
    'cab.pedals pedal-blocked',
    'cab.gauges lamp-test-dead',
    'cab.gauges amber-lamp-stays',
    'records.odometer odometer-dead',
  ]),
];

export const seat: readonly NamedDefect[] = [
  minor('Seat is damaged or fails to remain in its set position', [
    'cab.seat seat-slides',
    'cab.seat seat-worn',
  ]),
  major('Seat belt or tether belt is insecure, missing or malfunctions', [
    'cab.belt belt-fails',
    'cab.belt belt-cut',
  ]),
];

export const electricBrake: readonly NamedDefect[] = [
  minor('Loose or insecure wiring or electrical connection', [
    'coupling.breakaway-battery breakaway-box',
  ]),
  major('Inoperative breakaway device', [
    'coupling.breakaway breakaway-off',
    'coupling.breakaway breakaway-broken',
    'coupling.breakaway-holds breakaway-dead',
    'coupling.breakaway-holds breakaway-short',
    'coupling.breakaway-battery breakaway-flat',
  ]),
];

export const emergency: readonly NamedDefect[] = [
  minor('Emergency equipment is missing, damaged or defective', [
    'emergency.extinguisher extinguisher-gone',
    'emergency.extinguisher extinguisher-low',
    'emergency.extinguisher extinguisher-small',
    'emergency.extinguisher extinguisher-date',
    'emergency.extinguisher extinguisher-loose',
    'emergency.triangles triangles-missing',
    'emergency.first-aid kit-missing',
    'first-aid kit-gone',
  ]),
];

export const exhaust: readonly NamedDefect[] = [
  minor('Exhaust leak that does not reach the occupants', [
    'exhaust.system exhaust-leak',
    'month.exhaust soot',
  ]),
  major('Leak that lets exhaust gas into the occupant compartment', [
    'exhaust.system exhaust-cab',
    'month.exhaust leak-at-cab',
    'tailpipe fumes',
  ]),
];

export const frame: readonly NamedDefect[] = [
  minor('Damaged frame or cargo body', [
    'frame.rail frame-bolt',
    'frame.rail frame-rust#surface',
    'body.mounts mount-loose',
    'crossmembers member-rust',
    'kingpin apron-bent',
  ]),
  major('Visibly shifted, cracked, collapsing or sagging frame member', [
    'frame.rail frame-crack',
    'frame.rail frame-rust#through',
    'month.frame crack',
    'frame.drawbar drawbar-crack',
    'body.mounts body-shifted',
    'crossmembers member-torn',
  ]),
];

export const fuel: readonly NamedDefect[] = [
  minor('Missing fuel tank cap', ['fuel.tank cap-missing']),
  major('Insecure fuel tank', ['fuel.tank strap-loose']),
  major('Dripping fuel leak', [
    'fuel.tank fuel-leak#class-3',
    'fuel.lines line-leak#class-3',
    'fuel.separator bowl-leak#class-3',
    'approach.ground fuel-drops#class-3',
    'engine.leaks block-fuel#class-3',
  ]),
];

export const glass: readonly NamedDefect[] = [
  minor('A required mirror or window fails to give the driver the view', [
    'mirror.outside mirror-broken',
    'mirror.outside mirror-loose',
    'mirror.set mirror-blind',
    'glass.windscreen screen-crack-swept',
  ]),
];

export const heater: readonly NamedDefect[] = [
  minor('Control or system failure', ['cab.defroster defroster-dead']),
  major(
    'Defroster fails to provide an unobstructed view through the windshield',
    ['cab.defroster defroster-dead'],
    { when: ['freezing', 'wet'] },
  ),
];

export const horn: readonly NamedDefect[] = [
  minor('Vehicle has no operative horn', ['cab.horn horn-dead']),
];

export const hydraulicBrake: readonly NamedDefect[] = [
  minor('Brake fluid level is below the indicated minimum', ['brake.fluid fluid-low']),
  major('Brake boost or power assist is not operative', [
    'brake.booster-start no-boost',
    'brake.back-up back-up-dead',
  ]),
  major('Pedal fade or insufficient pedal reserve', ['brake.pedal-hold pedal-sinks']),
];

export const lamps: readonly NamedDefect[] = [
  minor('A required lamp does not function as intended', [
    'lamp.side lamp-out',
    'lamp.tail lamp-out',
    'lamp.tail lens-broken',
    'lamp.tail lens-dirty',
    'lamp.stop lamp-out',
    'lamp.stop lens-broken',
    'lamp.stop lens-dirty',
    'lamp.rear-signal lens-broken',
    'lamp.rear-signal lens-dirty',
    'lamp.front-signal lamp-out',
    'lamp.front-signal lens-broken',
    'lamp.front-signal lens-dirty',
    'lamp.head lamp-out',
    'lamp.head lens-broken',
    'lamp.head lens-dirty',
    'lamp.plate lamp-out',
    'lamp.identification id-lamp-out',
    'lamp.roof roof-lamp-out',
    'stop.lamps lamp-out',
  ]),
  minor('A required reflector is missing or partially missing', [
    'lamp.reflectors reflector-missing',
    'lamp.slow-sign tape-missing',
  ]),
  major('Failure of both low-beam headlamps', ['lamp.head lamp-out'], {
    when: ['dark', 'wet'],
    from: 2,
  }),
  major('Failure of both rearmost tail lamps', ['lamp.tail lamp-out'], {
    when: ['dark', 'wet'],
    from: 2,
  }),
  major('Failure of a rearmost turn-indicator lamp', [
    'lamp.rear-signal lamp-out',
    'lamp.signal lamp-out',
  ]),
  major('Failure of both rearmost brake lamps', ['lamp.stop lamp-out'], { from: 2 }),
];

export const steering: readonly NamedDefect[] = [
  minor('Steering wheel lash (free play) is greater than normal', [
    'steering.free-play free-play-near',
  ]),
  major('Steering wheel is insecure or does not respond normally', [
    'steering.free-play wheel-binds',
    'steering.tie-rod joint-play',
    'steering.tie-rod pin-missing',
    'steering.gear gear-loose',
  ]),
  major('Steering wheel lash exceeds the prescribed limit', ['steering.free-play free-play-over']),
];

export const suspension: readonly NamedDefect[] = [
  minor('Air leak in the air suspension', ['suspension.air-bags bag-hiss']),
  minor('Broken spring leaf', ['suspension.spring leaf-broken']),
  minor('Suspension fastener is loose, missing or broken', ['suspension.shock shock-loose']),
  major('Damaged, deflated or insecure air bag', ['suspension.air-bags bag-flat']),
  major('Cracked or broken main leaf', ['suspension.spring main-leaf-broken']),
  major('More than one broken leaf', ['suspension.spring leaf-broken'], { from: 2 }),
  major('Part of a spring or of the suspension is missing or shifted', [
    'suspension.hanger hanger-cracked',
    'suspension.hanger pin-walking',
    'suspension.equalizer equalizer-crack',
  ]),
  major('Loose U-bolt', ['suspension.spring u-bolt-loose']),
];

const tyre = (symptom: string) =>
  ['steer', 'dual', 'tyre'].map((at) => `tyre.${symptom.replace('*', at)}`);

export const tyres: readonly NamedDefect[] = [
  minor('Damaged tread or sidewall', [
    'tyre.walls cut-shallow',
    'tyre.walls bulge',
    'tyre.walls object-in',
    ...tyre('tread-* tread-patches'),
    ...tyre('tread-* tread-one-edge'),
  ]),
  minor('Tyre leaking', ['tyre.valve valve-hiss']),
  major('Flat tyre', [
    ...tyre('pressure-* pressure-half'),
    ...tyre('thump-* pressure-half'),
    'stop.tyres soft',
  ]),
  major('Tread depth is less than the wear limit', tyre('tread-* tread-worn-out')),
  major('Tyre touches another or a part of the vehicle', [
    'tyre.between-duals duals-touch',
    'body.fender fender-rubs',
    'body.bumper bumper-hanging',
  ]),
  major('Exposed cords', ['tyre.walls cord-showing']),
];

export const wheels: readonly NamedDefect[] = [
  minor('Hub oil below the minimum level', ['wheel.hub hub-level-low']),
  minor('Leaking wheel seal', ['wheel.hub hub-leak']),
  major('Loose, missing or ineffective fastener', [
    'wheel.nuts nut-one',
    'wheel.nuts nut-several',
    'week.nut-marks mark-turned',
  ]),
  major('Damaged, cracked or broken wheel, rim or attaching part', [
    'wheel.rim rim-cracked',
    'wheel.rim rim-welded',
    'wheel.rim rim-bent',
  ]),
  major('Evidence of imminent wheel, hub or bearing failure', ['stop.hubs hub-hot']),
];

export const wipers: readonly NamedDefect[] = [
  minor('Control or system malfunction', [
    'glass.wipers-run wiper-dead',
    'glass.wipers-run washer-dead',
    'glass.washer-fluid washer-empty',
  ]),
  minor('Wiper blade damaged or missing', [
    'glass.wiper-blades blade-torn',
    'glass.wiper-blades arm-loose',
  ]),
  major(
    'Wiper or washer fails to clear the driver’s view when the weather needs it',
    [
      'glass.wipers-run wiper-dead',
      'glass.wipers-run washer-dead',
      'glass.wiper-blades blade-torn',
      'glass.wiper-blades arm-loose',
      'glass.washer-fluid washer-empty',
    ],
    { when: ['wet'] },
  ),
];

export const cab: readonly NamedDefect[] = [
  major('Any cab or sleeper door fails to close securely', ['cab.door door-pops']),
];

export const accessibility: readonly NamedDefect[] = [
  minor('Alarm fails, equipment or interlock malfunctions', [
    'kneeling kneel-dead',
    'ramp ramp-dead',
    'ramp ramp-edge',
  ]),
  major('Vehicle fails to return to its normal level after kneeling', ['kneeling stays-down']),
  major('Extended lift, ramp or other loading device fails to retract', ['stowed not-stowed']),
];

export const exits: readonly NamedDefect[] = [
  minor('Door, window or hatch fails to open or close securely', [
    'door.entrance door-slow',
    'exits.hatches hatch-leaks',
    'windows window-cracked',
    'bays strut-weak',
  ]),
  minor('Alarm inoperative', [
    'exits.windows buzzer-silent',
    'exit.rear-door rear-buzzer',
    'exit.side-door side-buzzer',
  ]),
  major('A required emergency exit fails to function as intended', [
    'exits.windows window-stuck',
    'exits.hatches hatch-stuck',
    'exit.rear-door rear-door-stuck',
    'exit.side-door side-door-stuck',
    'door.emergency release-dead',
  ]),
];

export const passengers: readonly NamedDefect[] = [
  minor('Damaged steps or floor', ['door.steps step-worn', 'aisle floor-lifted']),
  minor('Passenger seat or restraint is damaged', ['seats cushion-loose']),
  minor('Passenger seat is insecure', ['seats seat-loose']),
  minor('Malfunction or absence of a required restraint', ['belts belt-dead']),
  major('Passenger seat is insecure, position occupied', ['seats seat-loose'], {
    when: ['passengers'],
  }),
  major('Malfunction or absence of a required restraint, position occupied', ['belts belt-dead'], {
    when: ['passengers'],
  }),
];
