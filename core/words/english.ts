import { formatSi, unitFor, type UnitHabit } from '../quantity';
import type { Amount, Message, MessageCode, Sayings } from './sayings';

type Words = {
  readonly [Code in MessageCode]: (of: Sayings[Code], amount: (amount: Amount) => string) => string;
};

const WORDS: Words = {
  'rig-empty': () => 'A rig needs at least one unit.',
  'unit-twice': () => 'The same unit stands twice in the rig.',
  'front-cannot-drive': ({ unit }) => `Unit ${unit} cannot drive by itself and stands in front.`,
  'driven-not-towed': ({ unit }) => `Unit ${unit} is driven, it cannot be towed.`,
  'nothing-to-couple-to': ({ unit }) => `Unit ${unit} has nothing to couple to.`,
  'coupling-differs': ({ unit, hook }) => `Unit ${unit} does not fit the ${hook} in front of it.`,
  'no-free-mount': ({ unit, part }) => `No unit before ${unit} has a free place for ${part}.`,
  'lacks-supplies': ({ unit, other, supplies }) =>
    `Unit ${unit} needs what unit ${other} does not give: ${supplies.join(', ')}.`,
  'lacks-own-supplies': ({ unit, supplies }) =>
    `Unit ${unit} lacks what its equipment needs: ${supplies.join(', ')}.`,
  'no-module': ({ unit }) => `Unit ${unit} has no equipment module here.`,
  'fitted-is-no-vehicle': ({ unit, part }) =>
    `Unit ${unit}: ${part} is fitted to a vehicle, it is none.`,
  'has-own-number': ({ unit, part }) =>
    `Unit ${unit}: ${part} has a number of its own; join it in the rig.`,
  'no-place-for': ({ unit, part, chassis }) =>
    `Unit ${unit}: there is no place for ${part} on ${chassis}.`,
  'coupling-rating': ({ unit, rated, pulled }, amount) =>
    `The coupling of ${unit} is rated ${amount(rated)}, and what it would pull may weigh ${amount(pulled)}.`,
  'plate-rating': ({ unit, other, rated, load }, amount) =>
    `The plate of ${unit} carries ${amount(rated)}, and ${other} puts ${amount(load)} on it.`,
  voltage: ({ unit, other, gives, wants }) =>
    `${unit} gives ${gives} V and ${other} wants ${wants} V: lamps and valves burn or stay dark.`,
  pins: ({ unit, other, socket, plug }) =>
    `${unit} has a socket of ${socket} pins and ${other} a plug of ${plug}: it needs an adapter.`,
  height: ({ unit, other, eye, hook }, amount) =>
    `${other} couples at ${amount(eye)} and ${unit} at ${amount(hook)}.`,
  overloaded: ({ unit, rated, aboard, full }, amount) =>
    `${unit} may weigh ${amount(rated)}, and with ${aboard.join(', ')} full it would weigh ${amount(full)}.`,
  'card-no-axles': ({ unit }) => `The card of ${unit} names axles, and it has none to look at.`,
  'card-axle-count': ({ unit, named, most }) =>
    `The card of ${unit} names ${named} axles; a vehicle of its kind has 1 to ${most}.`,
  'card-axle-place': ({ unit, axle }) =>
    `The card of ${unit}: axle ${axle} is not behind the one before it, or not on the vehicle.`,
  'card-axle-steered': ({ unit }) => `The card of ${unit} says that its first axle is not steered.`,
  'card-tyres': ({ unit, axle }) =>
    `The card of ${unit}: axle ${axle} has one tyre on each side or two, nothing else.`,
  'card-duals': ({ unit, axle }) =>
    `The card of ${unit} names two tyres on each side of axle ${axle}, where it can only have one.`,
  'card-figure': ({ unit, field, value }, amount) =>
    `The card of ${unit}: ${field} cannot be ${amount(value)}.`,
  'card-masses': ({ unit, empty, gross }, amount) =>
    `The card of ${unit}: it cannot weigh ${amount(empty)} empty and ${amount(gross)} at most.`,
  'card-twice': ({ unit, item }) => `The card of ${unit} has ${item} twice.`,
  'card-tank-place': ({ unit, tank }) =>
    `The card of ${unit}: the volume or the place of ${tank} cannot be.`,
  'card-date': ({ unit, item, until }) =>
    `The card of ${unit}: the date of ${item}, ${until || 'nothing'}, is no day.`,
  'card-chart-empty': ({ unit, chart }) => `The card of ${unit}: the chart ${chart} is empty.`,
  'card-chart-order': ({ unit, chart }) =>
    `The card of ${unit}: radii and lengths of the chart ${chart} do not rise from line to line.`,
  'card-chart-hole': ({ unit, chart, radius, length }, amount) =>
    `The card of ${unit}: the chart ${chart} has a hole at a radius of ${amount(radius)} with ${amount(length)} of boom.`,
  'card-chart-rises': ({ unit, chart, radius, length }, amount) =>
    `The card of ${unit}: by the chart ${chart} it could lift more further out, at ${amount(radius)} with ${amount(length)} of boom.`,
  'needs-contradict': ({ check, one, other }) =>
    `The check ${check} needs ${one} and ${other}, and nobody can give it both. It stays out of every plan until its content is mended.`,
  'no-chain-of-changes': ({ stop }) =>
    `No chain of changes brings the vehicle to stand as ${stop} wants it.`,
  'rules-contradict': ({ ring }) =>
    `No order keeps all the rules: ${ring
      .map(({ first, then, rule }) => `${first} before ${then}, because ${RULES[rule] ?? rule}`)
      .join('; and ')}. Change one of them.`,
};

/** Why one stop comes before another. */
const RULES: Readonly<Record<string, string>> = {
  aboard: 'whoever may still be aboard is looked for first',
  secure: 'brake and chocks come first',
  'before-start': 'cab and warning lamps come before the first start',
  start: 'the engine is first started step by step',
  stopping: 'what decides that it can stop comes before it rolls',
  stowed: 'what is stowed is looked at before it is moved',
  cold: 'what must be cold comes before the engine is started',
  tests: 'the tests of the brakes keep their order',
  wash: 'what is greased is washed first',
  way: 'the outside is walked in one direction',
  first: 'the route style says what comes first',
  'engine-early': 'the route style starts the engine before the outside is walked',
  'engine-last': 'the route style starts the engine last',
  hand: 'your own order says so',
};

export function sayInEnglish(message: Message, habit: UnitHabit): string {
  const amount = ({ si, kind }: Amount) => formatSi(si, unitFor(kind, habit));
  return WORDS[message.code](message as never, amount);
}
