import type { Check, Module, Need } from '../catalogue';
import { requirementOf } from '../vehicle';
import { within, type Fault } from './faults';

/**
 * Where content leaves out what a movement needs, or contradicts the table of how a vehicle stands: an operating check or procedure
 * that does not say its power, brake, clear zone or end state, an interlock that could pass on a dead machine, words that name a state
 * that the needs do not, two checks that contradict each other.
 */
export function findMovementFaults(module: Module): Fault[] {
  return [
    ...module.checks.flatMap((check) => findFaultsOf(check, module)),
    ...findContradictions(module),
  ];
}

function findFaultsOf(check: Check, module: Module): Fault[] {
  const faults: Fault[] = [];
  const add = (fault: Fault) => faults.push(within(check.id)(fault));
  try {
    requirementOf(check);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return [{ code: 'needs-unknown', words: error.message }];
  }
  const procedure = module.procedures.find((each) => each.check === check.id);
  if ((check.method === 'operate' || procedure) && !check.moves) add({ code: 'movement-unsaid' });
  if (check.moves) for (const fault of findFaultsOfMovement(check)) add(fault);
  if (reachesUnsecured(check, module)) add({ code: 'unsecured' });
  for (const fault of findUnsaid(check)) add(fault);
  return faults;
}

/** By hand, outside or in the engine bay, and nothing of its needs says why it is not secured. */
function reachesUnsecured(check: Check, { zones }: Module): boolean {
  const round = zones.find(({ id }) => id === check.zone)?.round;
  if (!IN_REACH.has(round ?? '') || !BY_HAND.has(check.method) || check.does) return false;
  if (check.moves && check.moves.by !== 'hand') return false;
  const { states } = requirementOf(check);
  const secured = states.engine?.join() === 'off' && states.chocks?.join() === 'in';
  const powered =
    states.key?.includes('on') || states.lamps !== undefined || states.brake?.includes('released');
  return !secured && !powered;
}

const IN_REACH: ReadonlySet<string> = new Set(['outside', 'engine-bay']);
const BY_HAND: ReadonlySet<string> = new Set([
  'feel',
  'shake',
  'grease',
  'drain',
  'measure',
  'clean',
]);

const has = ({ needs }: Check, ...any: readonly Need[]) => any.some((need) => needs.includes(need));

/** Engine running, whichever need says it. */
const runs = (check: Check) =>
  has(
    check,
    'engine-idling',
    'engine-working',
    'power-take-off',
    'oil-warm',
    'engine-warm',
    'rolls',
    'rolls-to-hook-up',
  );

function findFaultsOfMovement(check: Check): Fault[] {
  const { moves } = check;
  if (!moves) return [];
  const faults: Fault[] = [];
  const lacks = (holds: boolean, fault: Fault) => {
    if (!holds) faults.push(fault);
  };
  switch (moves.by) {
    case 'engine':
      lacks(runs(check), { code: 'power-unsaid', by: 'engine' });
      break;
    case 'power-take-off':
      lacks(has(check, 'power-take-off', 'oil-warm') && runs(check), {
        code: 'power-unsaid',
        by: 'power-take-off',
      });
      break;
    case 'key':
      lacks(has(check, 'key-on') || runs(check), { code: 'power-unsaid', by: 'key' });
      break;
    case 'air':
      lacks(has(check, 'air-charged') || check.air?.atLeast !== undefined, {
        code: 'power-unsaid',
        by: 'air',
      });
      break;
    case 'lift-power':
      lacks(has(check, 'lift-power-on'), { code: 'power-unsaid', by: 'lift' });
      break;
    case 'own-engine':
      lacks(
        has(check, 'own-engine-running') || (check.does?.includes('own-engine-start') ?? false),
        { code: 'power-unsaid', by: 'own-engine' },
      );
      break;
    case 'rolling':
      lacks(has(check, 'rolls', 'rolls-to-hook-up'), { code: 'roll-not-stowed' });
      lacks(has(check, 'parking-brake-set', 'parking-brake-released'), {
        code: 'roll-brake-unsaid',
      });
      break;
    case 'hand':
    case 'electric':
    case 'other-machine':
      break;
  }
  if (moves.held === 'brake' || moves.held === 'brake-and-chocks')
    lacks(has(check, 'parking-brake-set', 'secured') || moves.by === 'hand', {
      code: 'held-unsaid',
      by: 'brake',
    });
  if (moves.held === 'brake-and-chocks' || moves.held === 'chocks')
    lacks(has(check, 'chocked', 'secured'), { code: 'held-unsaid', by: 'chocks' });
  if (moves.clear === 'zone')
    lacks(has(check, 'area-clear') || moves.by === 'hand', { code: 'zone-unsaid' });
  // On a dead machine every interlock passes.
  if (moves.takesAway !== undefined)
    lacks(moves.by !== 'hand', { code: 'interlock-without-power' });
  return faults;
}

/** Words that name a state, and the needs of which one must say it too. */
const NAMED: readonly (readonly [RegExp, readonly Need[], string])[] = [
  [/\bwalking pace\b/i, ['rolls'], 'walking pace'],
  [
    /\bwhile it idles\b|\bwith the engine running\b|\bwhile it runs\b/i,
    ['engine-idling', 'engine-working', 'power-take-off', 'own-engine-running'],
    'a running engine',
  ],
  [
    /\bengine off\b/i,
    ['engine-off', 'engine-cold', 'secured', 'key-in-pocket', 'oil-settled'],
    'the engine off',
  ],
  [/\bbody propped\b|\bwith the body up\b/i, ['body-propped', 'body-raised'], 'the body up'],
  [/\bplatform down\b/i, ['platform-down'], 'the platform down'],
  [/\bladder bedded\b/i, ['boom-cradled'], 'the ladder bedded'],
  [
    /\bpedal (?:is )?held\b|\bhold the (?:brake )?pedal\b/i,
    ['pedal-held-by-driver', 'pedal-held-by-helper', 'pedal-held-by-stick'],
    'who holds the pedal',
  ],
  [/\bkey on:/i, ['key-on'], 'the key on'],
  [/\breleased leakage\b|\bbrakes off\b/i, ['parking-brake-released'], 'the brake released'],
  [
    /, empty$|\bunloaded$/i,
    ['empty', 'outriggers-set', 'own-engine-running', 'parking-brake-set'],
    'that it is empty',
  ],
];

function findUnsaid(check: Check): Fault[] {
  return NAMED.flatMap(([words, needs, what]) =>
    words.test(check.title) && !has(check, ...needs)
      ? [{ code: 'words-name-state' as const, state: what }]
      : [],
  );
}

/** Movements that belong to the vehicle, whichever module speaks of them. */
const OF_VEHICLE: ReadonlySet<string> = new Set(['rolling', 'engine']);

/** Checks of one module that contradict each other: each says something that no other lets it be. */
function findContradictions({ checks, id }: Module): Fault[] {
  const faults: Fault[] = [];
  const moved = new Set(checks.flatMap(({ moves }) => (moves ? [moves.part] : [])));
  const guided = checks.filter(({ guide }) => guide === 'engine-start');
  if (guided.length > 1)
    faults.push({ code: 'first-starts', at: id, checks: guided.map((each) => each.id) });
  for (const check of checks) {
    const before = check.precedes ?? [];
    if (before.includes('engine-start') && runs(check))
      faults.push({ code: 'before-start-runs', at: check.id });
    if (before.includes('rolling') && has(check, 'rolls'))
      faults.push({ code: 'before-roll-rolls', at: check.id });
    if (before.includes('movement') && (check.partOf ?? []).length === 0)
      faults.push({ code: 'before-movement-of-nothing', at: check.id });
    for (const part of check.partOf ?? [])
      if (!moved.has(part) && !OF_VEHICLE.has(part))
        faults.push({ code: 'part-of-nothing', at: check.id, part });
    // What spends the air says with how much it begins; else the next test runs on what is left.
    if (check.air?.atLeast !== undefined && check.air.leaves !== undefined)
      if (check.air.leaves > check.air.atLeast) faults.push({ code: 'air-rises', at: check.id });
  }
  for (const [one, other] of pairsOf(checks)) {
    const fault = findPairFault(one, other);
    if (fault) faults.push(within(`${one.id} and ${other.id}`)(fault));
  }
  return faults;
}

/** Checks at one place that are one movement, told twice. */
function pairsOf(checks: readonly Check[]): [Check, Check][] {
  const moving = checks.filter(({ moves }) => moves && moves.by !== 'hand');
  return moving.flatMap((one, index) =>
    moving
      .slice(index + 1)
      .filter((other) => one.moves?.part === other.moves?.part)
      .map((other): [Check, Check] => [one, other]),
  );
}

/** The same thing is moved by one power, whoever tries it; a hand pump is another way of moving it. */
function findPairFault(one: Check, other: Check): Fault | undefined {
  const [a, b] = [one.moves, other.moves];
  if (!a || !b || a.by === b.by) return undefined;
  return { code: 'moved-by-two', part: a.part, one: a.by, other: b.by };
}
