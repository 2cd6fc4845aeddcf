import { within, type Fault } from './faults';
import { toText } from './to-text';
import { HARMS, type Band, type Check, type Module, type Symptom } from '../catalogue';
import { toSi } from '../quantity';

/**
 * Where a module that was brought in asks less than the one that ships: a check or symptom that is gone, one that
 * weighs less, a limit looser than law. A house may only be stricter.
 */
export function findLooser(shipped: Module, brought: Module): Fault[] {
  const checks = new Map(brought.checks.map((check) => [check.id, check]));
  const ofChecks = shipped.checks.flatMap((check) => {
    const other = checks.get(check.id);
    if (!other) return [{ code: 'check-missing' as const, check: check.id }];
    return [
      ...findLooserAsking(check, other),
      ...findMilder(check, other),
      ...findWider(check, other),
    ].map(within(check.id));
  });
  return [...findOtherBuild(shipped, brought), ...ofChecks];
}

/** How it is built and joined, and what it is for: a file changes what is asked, not what stands in the yard. */
const BUILD = [
  'build',
  'vehicleClass',
  'powered',
  'airBrakes',
  'opens',
  'length',
  'width',
  'height',
  'capabilities',
  'joints',
  'mounts',
  'mountsOn',
  'gives',
  'requires',
  'specification',
] as const satisfies readonly (keyof Module)[];

/** Lists of which every entry must stay as it ships; others may be added. */
const KEPT = [
  'zones',
  'places',
  'combinations',
  'procedures',
  'contents',
] as const satisfies readonly (keyof Module)[];

function findOtherBuild(shipped: Module, brought: Module): Fault[] {
  const built = BUILD.filter((field) => toText(shipped[field]) !== toText(brought[field])).map(
    (field): Fault => ({ code: 'not-as-it-ships', field }),
  );
  const lists = KEPT.flatMap((field) => {
    const there = new Set((brought[field] as readonly unknown[]).map(toText));
    return (shipped[field] as readonly { readonly id: string }[])
      .filter((entry) => !there.has(toText(entry)))
      .map(({ id }): Fault => ({ code: 'entry-not-as-it-ships', field, id }));
  });
  return [...built, ...lists];
}

const SAID = {
  moves: 'what moves',
  partOf: 'what it is part of',
  precedes: 'what it comes before',
  use: 'its place in the use of the machine',
  air: 'the air',
} as const;

function findLooserAsking(check: Check, other: Check): Fault[] {
  const faults: Fault[] = [];
  const phases = check.phases.filter((phase) => !other.phases.includes(phase));
  if (phases.length > 0) faults.push({ code: 'phases-gone', phases });
  const rarer = other.when?.filter((each) => !check.when?.includes(each)) ?? [];
  if (rarer.length > 0) faults.push({ code: 'asked-only-when', when: rarer });
  if (check.each && other.each !== check.each)
    faults.push({ code: 'not-at-every', each: check.each });
  if (check.reading?.required && !other.reading?.required)
    faults.push({ code: 'reading-optional' });
  if (toText(check.does ?? []) !== toText(other.does ?? []))
    faults.push({ code: 'not-as-it-ships', field: 'what it does to the vehicle' });
  for (const field of ['moves', 'partOf', 'precedes', 'use', 'air'] as const)
    if (toText(check[field] ?? null) !== toText(other[field] ?? null))
      faults.push({ code: 'not-as-it-ships', field: `what it says of ${SAID[field]}` });
  if (toText(check.offers ?? []) !== toText(other.offers ?? []))
    faults.push({ code: 'not-as-it-ships', field: 'what may be begun at it' });
  const needs = check.needs.filter((need) => !other.needs.includes(need));
  if (needs.length > 0) faults.push({ code: 'needs-gone', needs });
  const cautions = new Set(other.cautions.map(toText));
  if (check.cautions.some((caution) => !cautions.has(toText(caution))))
    faults.push({ code: 'caution-gone' });
  for (const field of ['zone', 'method', 'helper', 'guide', 'leaves'] as const)
    if (check[field] !== other[field])
      faults.push({ code: 'not-as-it-ships', field: `its ${field}` });
  if (check.source && other.source !== check.source)
    faults.push({ code: 'other-rule', source: check.source });
  return faults;
}

const rank = (harm: Symptom['harm']) => HARMS.indexOf(harm);

function findMilder(check: Check, other: Check): Fault[] {
  return check.symptoms.flatMap((symptom): Fault[] => {
    const now = other.symptoms.find(({ id }) => id === symptom.id);
    if (!now) return [{ code: 'symptom-missing', symptom: symptom.id }];
    const faults: Fault[] = [];
    if (rank(now.harm) < rank(symptom.harm))
      faults.push({ code: 'weighs-less', symptom: symptom.id, harm: symptom.harm });
    const kept = symptom.takes.filter((each) => !now.takes.includes(each));
    if (kept.length > 0) faults.push({ code: 'takes-less', symptom: symptom.id, takes: kept });
    // What makes it weigh more, and what it leads to, stays; only its words, its harm and what it takes may change.
    const { words: _, harm: _harm, takes: _takes, scale: _scale, ...rest } = symptom;
    const { words: _w, harm: _h, takes: _t, scale: _s, ...others } = now;
    if (toText(rest) !== toText(others))
      faults.push({ code: 'not-as-it-ships', field: symptom.id });
    for (const step of symptom.scale?.steps ?? []) {
      const same = now.scale?.steps.find(({ id }) => id === step.id);
      if (!same || rank(same.harm) < rank(step.harm))
        faults.push({
          code: 'weighs-less',
          symptom: `${symptom.id}, ${step.id}`,
          harm: step.harm,
        });
    }
    return faults;
  });
}

/** Every limit of the law must stand, or a stricter one of the same side in its place. */
function findWider(check: Check, other: Check): Fault[] {
  const { reading } = check;
  if (!reading) return [];
  const { bands: _, ask: _ask, required: _required, ...rest } = reading;
  const { bands = [], ask: _a, required: _r, ...others } = other.reading ?? {};
  if (toText(rest) !== toText(others))
    return [{ code: 'not-as-it-ships', field: 'what can be measured' }];
  const there = new Set(bands.map(toText));
  return reading.bands.flatMap((band): Fault[] => {
    const law = lawOf(band);
    if (!law) return there.has(toText(band)) ? [] : [{ code: 'limit-gone', symptom: band.symptom }];
    const holds = other.reading?.bands.some(
      (each) =>
        each.side === band.side &&
        each.symptom === band.symptom &&
        (each.only === undefined || each.only === band.only) &&
        each.limit.from !== 'specification' &&
        !isLooser(toSi(each.limit.value, each.limit.unit), law.si, band.side),
    );
    return holds ? [] : [{ code: 'looser-than-law', law: law.words }];
  });
}

/** A limit that the law sets, in SI and in words. */
export function lawOf({
  limit,
}: Band): { readonly si: number; readonly words: string } | undefined {
  if (limit.from !== 'law') return undefined;
  return {
    si: toSi(limit.value, limit.unit),
    words: `${limit.value} ${limit.unit} (${limit.source})`,
  };
}

/** Whether a limit lets through what the other one finds; a rounding of the conversion is not looser. */
export function isLooser(value: number, other: number, side: Band['side']): boolean {
  const slack = 1e-9 * Math.max(1, Math.abs(other));
  return side === 'below' ? value < other - slack : value > other + slack;
}
