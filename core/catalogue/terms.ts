import { PEDAL_NEEDS, STATE_NEED_NAMES, type PedalNeed, type StateNeed } from '../vehicle';

export { VEHICLE_CHANGES, type VehicleChange } from '../vehicle';

/** What a rig may be used for. */
export const CAPABILITIES = [
  'road',
  'highway',
  'tow',
  'passengers',
  'lift-gate',
  'passenger-lift',
  'dump',
  'plow',
  'spread',
  'crane',
  'aerial',
  'pump',
  'winch',
  'dig',
  'yard',
] as const;
export type Capability = (typeof CAPABILITIES)[number];

/** Kinds of vehicle that a depot may grade under different policies. */
export const VEHICLE_CLASSES = [
  'goods',
  'trailer',
  'passenger',
  'fire',
  'machine',
  'utility',
] as const;
export type VehicleClass = (typeof VEHICLE_CLASSES)[number];

/** When a check is asked: before work, on the way, after it, by the calendar, at the seasonal change, or before a use. */
export const PHASES = [
  'pre-trip',
  'under-way',
  'post-trip',
  'weekly',
  'monthly',
  'hook-up',
  'storage',
  'before-use',
  'jump-start',
  'towed-away',
] as const;
export type Phase = (typeof PHASES)[number];

export const METHODS = [
  'look',
  'feel',
  'shake',
  'thump',
  'listen',
  'smell',
  'measure',
  'operate',
  'drain',
  'count',
  'clean',
  'grease',
] as const;
export type Method = (typeof METHODS)[number];

/** What must be true around the vehicle, or in the inspector's hand. */
const OTHER_NEEDS = [
  'level-ground',
  'area-clear',
  'lamp',
  'tread-gauge',
  'pressure-gauge',
  'thumper',
  'rag',
  'gloves',
  'glasses',
  'hearing-protection',
  'hard-hat',
  'rule',
  'grease-gun',
  'water-hose',
] as const;

/** What must be true before the check: how the vehicle stands (core/vehicle), who holds the pedal, what is carried. */
export const NEEDS: readonly Need[] = [...STATE_NEED_NAMES, ...PEDAL_NEEDS, ...OTHER_NEEDS];
export type Need = StateNeed | PedalNeed | (typeof OTHER_NEEDS)[number];

/** Where the feet are, in the order of the rounds. */
export const ROUNDS = ['outside', 'engine-bay', 'cab', 'aboard', 'brakes', 'equipment'] as const;
export type Round = (typeof ROUNDS)[number];

/** What one module gives and another cannot do without. */
export const SUPPLIES = [
  'air-lines',
  'charging-lead',
  'electrical-socket',
  'hydraulics',
  'power-take-off',
  'warning-lamps',
] as const;
export type Supply = (typeof SUPPLIES)[number];

/** How a coupled unit is joined to the one in front of it. */
export const COUPLINGS = ['fifth-wheel', 'pintle', 'ball', 'drawbar-pin', 'gooseneck'] as const;
export type Coupling = (typeof COUPLINGS)[number];

/** Where equipment is fitted, mounted, slid in or carried. */
export const MOUNTS = [
  'body',
  'in-body',
  'behind-cab',
  'front-hitch',
  'side-wing',
  'underbody',
  'rear-gate',
  'side-door',
  'transmission',
  'front-bumper',
  'superstructure',
  'deck',
] as const;
export type MountSort = (typeof MOUNTS)[number];

/** Facts of the moment that make checks appear or symptoms worse. */
export const CIRCUMSTANCES = ['dark', 'wet', 'freezing', 'towing', 'passengers'] as const;
export type Circumstance = (typeof CIRCUMSTANCES)[number];

/** What a symptom does to the vehicle, before any policy names a grade. */
export const HARMS = ['watch', 'repair', 'stop'] as const;
export type Harm = (typeof HARMS)[number];

/**
 * Classes of parts. Policies refer to them, so that a symptom need not speak of any policy;
 * small faults of one class on one unit add up where the policy says so.
 */
export const SYSTEMS = [
  'body',
  'boom',
  'brakes',
  'coupling',
  'doors',
  'driver-place',
  'electrical',
  'emergency',
  'engine',
  'exhaust',
  'frame',
  'fuel',
  'glass',
  'horn',
  'hydraulics',
  'lamps',
  'lift',
  'load',
  'mirrors',
  'outriggers',
  'plow',
  'power-take-off',
  'pump',
  'records',
  'restraint',
  'rigging',
  'spreader',
  'steering',
  'suspension',
  'tyres',
  'warning',
  'wheels',
  'winch',
  'wipers',
] as const;
export type System = (typeof SYSTEMS)[number];

/**
 * A moment or a use that a condition rules out: `job` is any work beyond the way to the workshop; with `before-leaving` nothing leaves,
 * not even to the workshop, until the driver has looked again and says that the condition is met.
 */
export const BARS = [
  'dark',
  'wet',
  'freezing',
  'towing',
  'passengers',
  'job',
  'before-leaving',
] as const;
export type Bar = (typeof BARS)[number];

/** The symptom of every check that counts a list: something is missing or past its date. */
export const LIST_SHORT = 'list-short';

/** The symptom of a fault that no list names: it is told in words. */
export const SOMETHING_ELSE = 'something-else';

/**
 * Where a check stands when a machine is used: the place first, then the machine as it stands, its start, its set-up, its trials, the
 * work, and how it is put away.
 */
export const USE_STEPS = ['survey', 'look', 'start', 'set-up', 'trial', 'work', 'stow'] as const;
export type UseStep = (typeof USE_STEPS)[number];

/** What a check must come before: the first start, the first roll, any movement of the part that it belongs to, everything else. */
export const PRECEDED = ['engine-start', 'rolling', 'movement', 'everything'] as const;
export type Preceded = (typeof PRECEDED)[number];

/** By what something is moved. */
export const POWERS = [
  'hand',
  'engine',
  'power-take-off',
  'air',
  'key',
  'lift-power',
  'own-engine',
  'electric',
  'other-machine',
  'rolling',
] as const;
export type PowerSource = (typeof POWERS)[number];

/** How it is kept from rolling meanwhile. */
export const HELD_BY = [
  'brake',
  'brake-and-chocks',
  'chocks',
  'tested-brake',
  'no-matter',
] as const;
export type HeldBy = (typeof HELD_BY)[number];

/**
 * Where a defect stands. `fixed` on the spot by the driver needs nobody else; `awaiting-agent` is repaired
 * and waits for the carrier's agent, so for drivers it is still open.
 */
export type DefectStatus =
  | 'open'
  | 'deferred'
  | 'awaiting-agent'
  | 'fixed'
  | 'repaired'
  | 'no-repair-needed'
  | 'closed'
  | 'withdrawn';

/** What bears on the rig until it is mended. */
export const OPEN_STATUSES: readonly DefectStatus[] = ['open', 'deferred', 'awaiting-agent'];
/** Mended, and not yet read by a driver. */
export const UNREAD_STATUSES: readonly DefectStatus[] = ['repaired', 'no-repair-needed'];
