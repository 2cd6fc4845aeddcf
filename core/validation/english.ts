import type { Fault, FaultCode, FaultSayings, Power, Thing } from './faults';

const THINGS: Readonly<Record<Thing, string>> = {
  module: 'module',
  check: 'check',
  service: 'service',
  place: 'place',
  zone: 'zone',
  sort: 'place of sort',
  symptom: 'symptom',
  field: 'field',
  step: 'step',
  item: 'item',
  rule: 'rule',
};

const POWERS: Readonly<Record<Power, string>> = {
  engine: 'is moved by the engine and does not need it running',
  'power-take-off': 'is moved by the power take-off and does not need engine and power take-off',
  key: 'is moved with the key on and does not need it',
  air: 'is moved by air and does not need any',
  lift: 'is moved by the lift and does not need it switched on',
  'own-engine': 'is moved by an engine of its own and does not need it running',
};

const list = (all: readonly string[]) => all.join(', ');

const WORDS: { readonly [Code in FaultCode]: (of: FaultSayings[Code]) => string } = {
  shape: ({ words }) => words,
  'not-an-object': ({ what }) => `A ${what} is one JSON object.`,
  missing: () => 'is missing',
  'not-this-format': ({ format }) => `this is no ${format}`,
  'not-this-version': ({ version }) => `only ${version} can be read`,
  'other-catalogue': ({ from, here }) =>
    `the file was taken from ${from}, here is ${here}; export it anew and make the changes there`,
  twice: ({ what, id }) => `the ${THINGS[what]} ${id} stands twice`,
  'no-such': ({ what, id }) =>
    `there is no ${THINGS[what]} ${id}${what === 'module' ? ' in the catalogue' : ''}`,
  'of-other-module': ({ check, module }) => `the check ${check} is one of ${module}`,
  'has-no': ({ owner, what, id }) => `${owner} has no ${THINGS[what]} ${id}`,
  'in-no-zone': ({ place }) => `${place} is in no zone`,
  'no-mount': () => 'it does not say where it is mounted',
  'band-without-symptom': ({ symptom }) => `a limit names no symptom ${symptom}`,
  'at-several-places': ({ item, check }) => `${item}: ${check} is asked at several places`,
  'off-twice': ({ check }) => `${check} is switched off twice`,
  'off-by-rule': ({ check, source }) =>
    `${check} cannot be switched off, a public rule asks for it (${source})`,
  'off-stops': ({ check }) =>
    `${check} cannot be switched off, what it finds can keep the vehicle or its equipment from being used`,
  'own-id': ({ check, begins }) => `the id ${check} must begin with ${begins}`,
  'no-limit-of-side': ({ check, side }) => `${check} has no limit ${side} which it is a fault`,
  'other-kind': ({ check, unit }) => `${check} is not measured in ${unit}`,
  'never-measured-at': ({ check, value, unit }) => `${check} is never measured at ${value} ${unit}`,
  'looser-than-law': ({ value, law }) => `${value ?? 'its limit'} is looser than law, ${law}`,
  'needs-unknown': ({ words }) => words,
  'movement-unsaid': () =>
    'operates something and does not say what moves it, how it is held, who is clear, how it ends',
  unsecured: () =>
    'has hands in reach of what can start, move or roll, and does not need it secured',
  'power-unsaid': ({ by }) => POWERS[by],
  'roll-not-stowed': () => 'rolls and does not need what is out to be in',
  'roll-brake-unsaid': () => 'rolls and does not say how the parking brake stands',
  'held-unsaid': ({ by }) =>
    by === 'brake'
      ? 'is held by the parking brake and does not need it set'
      : 'is held by chocks and does not need them',
  'zone-unsaid': () => 'needs a clear zone and does not ask for it',
  'interlock-without-power': () => 'takes an input away from something that no power moves',
  'words-name-state': ({ state }) => `its words name ${state}, and its needs do not`,
  'first-starts': ({ checks }) => `the engine has ${checks.length} first starts: ${list(checks)}`,
  'before-start-runs': () => 'comes before the first start and wants the engine running',
  'before-roll-rolls': () => 'comes before the first roll and rolls itself',
  'before-movement-of-nothing': () => 'comes before a movement and is part of nothing that moves',
  'part-of-nothing': ({ part }) => `is part of ${part}, which nothing in its module moves`,
  'air-rises': () => 'leaves more air than it begins with',
  'moved-by-two': ({ part, one, other }) => `move ${part} by ${one} and by ${other}`,
  'check-missing': ({ check }) => `${check} is missing; switch it off with a reason instead`,
  'not-as-it-ships': ({ field }) => `${field} is not as it ships`,
  'entry-not-as-it-ships': ({ field, id }) => `${id} of its ${field} is gone or is not as it ships`,
  'phases-gone': ({ phases }) => `is not asked any more in ${list(phases)}`,
  'asked-only-when': ({ when }) => `is asked only when ${list(when)}`,
  'not-at-every': ({ each }) => `is not asked at every ${each}`,
  'reading-optional': () => 'its reading may not be left out',
  'needs-gone': ({ needs }) => `does not need ${list(needs)} any more`,
  'caution-gone': () => 'one of its cautions is gone',
  'other-rule': ({ source }) => `names another rule than ${source}`,
  'symptom-missing': ({ symptom }) => `the symptom ${symptom} is missing`,
  'weighs-less': ({ symptom, harm }) => `${symptom} weighs less than ${harm}`,
  'takes-less': ({ symptom, takes }) => `${symptom} does not take ${list(takes)} away`,
  'limit-gone': ({ symptom }) => `its limit for ${symptom} is gone`,
  'name-of-shipped-policy': ({ id }) => `${id} is the name of a policy that ships; choose another`,
  'repair-is-no-note': () => 'must be minor or major: what must be repaired is no note',
  'no-deadline': ({ grade }) => `no deadline for ${grade} that holds for every class of parts`,
};

/** A fault as a sentence, with its place before it. */
export function sayFault(fault: Fault): string {
  const words = WORDS[fault.code](fault as never);
  // The schema names the place itself.
  return fault.at === undefined ? words : `${fault.at}: ${words}`;
}
