import type { Check, Module } from '../catalogue';
import type { CheckInstance, Rig } from '../rig';

/** What moves a machine, as the judge tells it by the kind of equipment; content is not asked. */
export type Power =
  | 'key'
  | 'engine'
  | 'engine and power take-off'
  | 'lift power'
  | 'an engine of its own'
  | 'the hand';

/** What a check does, read from its words, its method and where it is done. */
export interface ReadCheck {
  /** A hand or a head is in, under or between something that could start, move or roll. */
  readonly reaches: boolean;
  /** Beneath what the unit raises. */
  readonly beneath: boolean;
  /** Made with the parking brake off. */
  readonly wantsReleased: boolean;
  /** The vehicle rolls, or pulls against a brake. */
  readonly rolls: boolean;
  /** Decides whether it can stop and be held. */
  readonly decidesStopping: boolean;
  readonly movedBy: Power | undefined;
  /** An input is taken away and nothing may move. */
  readonly interlock: boolean;
  /** Lifts, tilts or turns what is said to be empty. */
  readonly asEmpty: boolean;
  /** Least pressure that it wants, psi. */
  readonly wantsAir: number | undefined;
  /** What it leaves in the tanks, psi. */
  readonly leavesAir: number | undefined;
  /** Looks whether something is stowed, latched, closed, pinned. */
  readonly looksStowed: boolean;
  /** A whole cycle, which undoes what was stowed. */
  readonly cycle: boolean;
  /** The cold engine, or oil that has run back. */
  readonly cold: boolean;
}

/** What moves each kind of equipment: by the first word of the ids of its checks. */
const MOVED_BY: Readonly<Record<string, Power>> = {
  dump: 'engine and power take-off',
  combi: 'engine and power take-off',
  spreader: 'engine and power take-off',
  'loader-crane': 'engine and power take-off',
  aerial: 'engine and power take-off',
  pto: 'engine and power take-off',
  wetting: 'engine',
  plow: 'engine',
  wing: 'engine',
  underbody: 'engine',
  'yard-tractor': 'engine',
  winch: 'engine',
  pumper: 'engine',
  coach: 'engine',
  'passenger-lift': 'key',
  'school-bus': 'key',
  'rail-lift': 'lift power',
  'column-lift': 'lift power',
  'mobile-crane': 'an engine of its own',
  lowboy: 'an engine of its own',
  digger: 'an engine of its own',
  'led-digger': 'an engine of its own',
  'tilt-trailer': 'engine and power take-off',
};

const BY_HAND = new Set<Check['method']>(['feel', 'shake', 'grease', 'drain', 'clean', 'measure']);
const UNDERNEATH =
  /\b(under|beneath|between the axles|spring|hanger|shackle|drive shaft|prop shaft|cross-members?|frame rail|axle housing|equalizer|suspension arms?|fuel lines|u-bolts|brake chamber|lining edge)\b/i;
const FROM_AFAR = /\b(drops?|puddle|patch|lean|stand back|listen|shows|lamp|read)\b/i;
const IN_MACHINE =
  /\b(hopper|conveyor|spinner|belt|chain|boom|hoist|hinges?|pins?|pivots?|rods|rollers?|turntable|shaft|coupler|couplings?|jaws|gearbox|bearings)\b/i;
const MOVES =
  /\b(raise|raised|lower|lowers?|run(?: it| the| belt| conveyor| out| in)|up and down|out and (?:in|back)|in and out|tilt (?:the bed|it|a little)|extend|slew|kneel|unfold|free-spool|spool|swing|cycle|must not (?:move|drive)|nothing moves|dead-man|emergency stop|every (?:switch|control)|every function|overload|two-block|pinch stop|rides level|tilt at the ground|hydraulic lock|through its travel|warm up|oil is warm|travel in|turns? until|try in, out|relief valve|lever in neutral|jaw release|drive it off|bed it|prime dry|into pump|vacuum|stop arm|crossing arm|ramp out)\b/i;

/** The judge's own reading of what a check does. It does not look at what the check says that it needs. */
export function readCheck({ check, unit }: CheckInstance, rig: Rig): ReadCheck {
  const module = rig.units.find((each) => each.unit.id === unit.id)?.module;
  const zone = module?.zones.find(({ id }) => id === check.zone);
  const round = zone?.round ?? 'outside';
  const { title, criterion, method, id } = check;
  const procedure = module?.procedures.find((each) => each.check === id);
  const byHand = BY_HAND.has(method) || /\bby hand\b|\bwipe\b/i.test(title);
  const kind = id.split('.')[0];
  const rolls =
    /\b(roll at|roll a|tug|walking pace|drive (?:it )?off|drive in|drive alongside|travel in low)\b/i.test(
      title,
    ) && kind !== 'digger';
  const movedBy = readPower(check, module, round, procedure !== undefined);
  const interlock =
    movedBy !== undefined &&
    /\bmust not (?:move|drive)\b|nothing moves|interlock|dead-man|emergency stop/i.test(title);
  const cycle = procedure !== undefined || /\bcycle\b/i.test(id);
  return {
    reaches: readReach(check, round, byHand, movedBy),
    beneath:
      method === 'grease' ||
      (method === 'clean' && /underside|underneath|beneath/i.test(title)) ||
      /\b(beneath|under) the (body|bed|platform|boom|cab)\b/i.test(`${title} ${criterion}`),
    wantsReleased:
      /\breleased\b|slack adjuster|push-?rod stroke|brakes? off\b/i.test(title) ||
      /\broll at|roll a\b|trailer brake\b.*|walking pace/i.test(
        /roll|tug gently against the trailer/i.test(title) ? title : '',
      ) ||
      (rolls && !/parking brake/i.test(title)) ||
      /applied leakage/i.test(title) ||
      /stroke/i.test(id),
    rolls,
    decidesStopping: readStopping(check, round),
    movedBy,
    interlock,
    asEmpty:
      cycle &&
      ['dump', 'combi', 'lowboy', 'tilt-trailer', 'loader-crane', 'column-lift'].includes(kind) &&
      !/\bloaded\b/i.test(title) &&
      !/spread-cycle/.test(id),
    wantsAir: readWantedAir(check, rolls),
    leavesAir: readLeftAir(check),
    looksStowed:
      !cycle &&
      ['look', 'shake', 'feel'].includes(method) &&
      /\bstowed\b|\btransit (?:hook|latch)|\bboth tailgate latches|\blocked in\b|\bin its rest\b|\bin its cradle\b|\boutrigger in\b|\bboth latches\b|\bbooms are in\b/i.test(
        title,
      ) &&
      !/hydraulic tank|sight glass/i.test(title),
    cycle,
    cold:
      /\bcold\b|coolant|read the oil|dip the oil/i.test(title) &&
      round === 'engine-bay' &&
      check.phases.includes('pre-trip'),
  };
}

function readPower(
  check: Check,
  module: Module | undefined,
  round: string,
  hasProcedure: boolean,
): Power | undefined {
  const { id, title, method } = check;
  const [kind] = id.split('.');
  if (!module || !MOVED_BY[kind]) return undefined;
  if (/\bby hand\b|by the hand|fold platform/i.test(title)) return 'the hand';
  // What brings a dead engine to life, or is done because it stays dead, is not moved by it.
  if (/^start it from the battery\b|\bready to be towed\b/i.test(title)) return 'the hand';
  if (['grease', 'clean', 'shake', 'count', 'drain', 'feel'].includes(method)) return undefined;
  const moving = hasProcedure || MOVES.test(title);
  if (!moving) return undefined;
  // What is slid in or set on stands hangs on another machine, and on hands.
  if (/\bslide it in\b|\bon its stands?\b|\bunhook it\b/i.test(title) && kind !== 'tilt-trailer')
    return 'the hand';
  // A lift door, a hatch, a seat are moved by the hand that tries them.
  if (method === 'look' && round !== 'equipment') return undefined;
  // Valves, props and covers are moved by the hand; so is a stop that is reset before the start.
  if (
    /\b(?:valve|prop|props|tarp|reset|start in neutral|cart stops|free-spool)\b/i.test(title) &&
    !hasProcedure
  )
    if (!/relief valve/i.test(title)) return 'the hand';
  if (id === 'coach.ramp') return 'key';
  if (id === 'digger.seat' || id === 'pumper.generator') return 'the hand';
  return MOVED_BY[kind];
}

function readReach(
  { title, method, zone }: Check,
  round: string,
  byHand: boolean,
  movedBy: Power | undefined,
): boolean {
  if (movedBy !== undefined && movedBy !== 'the hand') return false;
  if (round === 'engine-bay') return byHand || method === 'operate';
  if (round !== 'outside' && round !== 'equipment') return false;
  if (/\brunning\b|while it (?:runs|sprays|idles)|as power comes|listen/i.test(title)) return false;
  if (/lamps?\b/i.test(title) && !/tag|frame|shaft/i.test(title)) return false;
  if (UNDERNEATH.test(title) && !/\bfresh drop/i.test(title) && method !== 'listen')
    return byHand || !FROM_AFAR.test(title.replace(/with the lamp/i, ''));
  if (method === 'grease') return true;
  if (/wheel/.test(zone) && (method === 'feel' || method === 'shake' || method === 'measure'))
    return true;
  if (/drawbar/.test(zone) && (byHand || method === 'operate')) return true;
  return byHand && IN_MACHINE.test(title);
}

function readStopping({ title, method, id }: Check, round: string): boolean {
  if (round === 'brakes')
    return /\bfan the pedal\b|pedal down|hold the pedal|booster|back-up pump|low[- ]air|lamp and buzzer/i.test(
      title,
    );
  return (
    round === 'cab' &&
    method !== 'measure' &&
    (/\bpedals?\b/i.test(title) ||
      (/seat belt|harness/i.test(title) && !/crew|row/i.test(title)) ||
      /floor/i.test(title)) &&
    !/week|month/.test(id)
  );
}

function readWantedAir({ title, id }: Check, rolls: boolean): number | undefined {
  if (/\bleakage\b/i.test(title)) return 90;
  if (/hiss|listen at the air couplings/i.test(title)) return 60;
  if (/fan the pedal/i.test(title)) return 90;
  if (/push-?rod stroke/i.test(title) && !/utility|tilt-truck/.test(id)) return 80;
  if (rolls && !/utility|tilt-truck/.test(id)) return 60;
  return undefined;
}

function readLeftAir({ title }: Check): number | undefined {
  if (/keep fanning|valves pop/i.test(title)) return 30;
  if (/fan the pedal/i.test(title)) return 60;
  if (/drain every air tank|drain the air tanks|drain all .* air tanks/i.test(title)) return 0;
  return undefined;
}

/** Whether a fault of this check is one of a part that carries, moves or guards its own unit. */
export function readsAsCarrying(words: string): boolean {
  return /\b(pin|keeper|weld|hinge|chain|hose|crack\w*|cylinder|rod|interlock|guard|stop|structure|hook|cable|rope|latch|slider|arm|boom|bolt|burst|leak\w*|prop)\b/i.test(
    words,
  );
}
