import type { FaultPlan } from './walk';

/** Faults that turn up on the trucks of the demo; mended by the workshop within days. */
export const truckFaults: readonly FaultPlan[] = [
  { on: 'truck.lamp.side/side-left', symptom: 'lamp-out' },
  { on: 'truck.lamp.tail/rear-lamps-right', symptom: 'lens-broken' },
  { on: 'truck.tyre.valve/drive-left-outer', symptom: 'valve-cap-lost', fixed: 'Put a cap on' },
  { on: 'truck.body.mud-flap/drive-right', symptom: 'flap-gone' },
  {
    on: 'truck.mirror.outside/mirror-right',
    symptom: 'mirror-loose',
    note: 'Turns in by itself above 70.',
  },
  { on: 'truck.engine.belts', symptom: 'belt-slack' },
  { on: 'truck.engine.leaks', symptom: 'block-oil', step: 'class-1' },
  { on: 'truck.wheel.nuts/drive-right', symptom: 'nut-streak', photo: true },
  { on: 'truck.glass.washer-fluid', symptom: 'washer-empty', fixed: 'Fill it' },
  { on: 'truck.suspension.hanger/drive-left', symptom: 'bushing-worn', photo: true },
  { on: 'truck.step.handrail/mirror-left', symptom: 'step-loose' },
  { on: 'truck.glass.wiper-blades', symptom: 'blade-torn', fixed: 'Swap the blade' },
  { on: 'truck.brake.hose/steer-right', symptom: 'hose-rubs', photo: true },
];

export const trailerFaults: readonly FaultPlan[] = [
  { on: 'tag-trailer.coupling.chain/chain-left', symptom: 'hook-latch' },
  { on: 'tag-trailer.lamp.signal/rear-lamps-left', symptom: 'lens-broken' },
  { on: 'tag-trailer.load.deck', symptom: 'board-broken', photo: true },
  { on: 'tag-trailer.body.fender/side-right', symptom: 'fender-loose' },
  { on: 'tag-trailer.ramp.hinge/rear-lamps-right', symptom: 'ramp-spring' },
];

/** Found and mended every other week, by unit. */
export const recurring: Readonly<Record<string, readonly FaultPlan[]>> = {
  '223': [{ on: 'truck.mirror.outside/mirror-right', symptom: 'mirror-loose' }],
  '214': [{ on: 'truck.body.mud-flap/drive-right', symptom: 'flap-gone' }],
  '305': [{ on: 'truck.lamp.side/side-left', symptom: 'lamp-out' }],
  '931': [{ on: 'tag-trailer.body.fender/side-right', symptom: 'fender-loose' }],
};

/** What stands open when the demo opens, by unit: the last walks report these. */
export const standing: Readonly<Record<string, readonly FaultPlan[]>> = {
  '223': [
    {
      on: 'truck.suspension.spring/drive-right',
      symptom: 'main-leaf-broken',
      photo: true,
      note: 'Heard it crack at the pit gate.',
    },
    { on: 'truck.engine.leaks', symptom: 'block-coolant', step: 'class-2' },
  ],
  '218': [{ on: 'truck.lamp.roof', symptom: 'roof-lamp-out', step: 'some' }],
  '305': [{ on: 'truck.exhaust.system', symptom: 'exhaust-leak' }],
  '941': [{ on: 'tag-trailer.frame.underride', symptom: 'guard-bent', photo: true }],
};

/** Mended yesterday and not read by a driver yet. */
export const mended: Readonly<Record<string, FaultPlan & { readonly words: string }>> = {
  '214': {
    on: 'truck.brake.hose/steer-right',
    symptom: 'hose-rubs',
    photo: true,
    words: 'Hose renewed, clipped clear of the tyre, tested at full lock.',
  },
};
