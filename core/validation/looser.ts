import { toText } from './to-text';
import { HARMS, type Band, type Check, type Module, type Symptom } from '../catalogue';
import { toSi } from '../quantity';

/**
 * Where a module that was brought in asks less than the one that ships: a check or symptom that is gone, one that
 * weighs less, a limit looser than law. A house may only be stricter.
 */
export function findLooser(shipped: Module, brought: Module): string[] {
  const checks = new Map(brought.checks.map((check) => [check.id, check]));
  const ofChecks = shipped.checks.flatMap((check) => {
    const other = checks.get(check.id);
    if (!other) return [`${check.id} is missing; switch it off with a reason instead`];
    return [
      ...findLooserAsking(check, other),
      ...findMilder(check, other),
      ...findWider(check, other),
    ].map((words) => `${check.id}: ${words}`);
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

function findOtherBuild(shipped: Module, brought: Module): string[] {
  const built = BUILD.filter((field) => toText(shipped[field]) !== toText(brought[field])).map(
    (field) => `${field} is not as it ships`,
  );
  const lists = KEPT.flatMap((field) => {
    const there = new Set((brought[field] as readonly unknown[]).map(toText));
    return (shipped[field] as readonly { readonly id: string }[])
      .filter((entry) => !there.has(toText(entry)))
      .map(({ id }) => `${id} of its ${field} is gone or is not as it ships`);
  });
  return [...built, ...lists];
}

const SAID = {
  moves: 'what moves',
  partOf: 'what it is part of',
  precedes: 'what it comes before',
  air: 'the air',
} as const;

function findLooserAsking(check: Check, other: Check): string[] {
  const faults: string[] = [];
  const phases = check.phases.filter((phase) => !other.phases.includes(phase));
  if (phases.length > 0) faults.push(`is not asked any more in ${phases.join(', ')}`);
  const rarer = other.when?.filter((each) => !check.when?.includes(each)) ?? [];
  if (rarer.length > 0) faults.push(`is asked only when ${rarer.join(', ')}`);
  if (check.each && other.each !== check.each) faults.push(`is not asked at every ${check.each}`);
  if (check.reading?.required && !other.reading?.required)
    faults.push('its reading may not be left out');
  if (toText(check.does ?? []) !== toText(other.does ?? []))
    faults.push('what it does to the vehicle is not as it ships');
  for (const field of ['moves', 'partOf', 'precedes', 'air'] as const)
    if (toText(check[field] ?? null) !== toText(other[field] ?? null))
      faults.push(`what it says of ${SAID[field]} is not as it ships`);
  if (toText(check.offers ?? []) !== toText(other.offers ?? []))
    faults.push('what may be begun at it is not as it ships');
  const needs = check.needs.filter((need) => !other.needs.includes(need));
  if (needs.length > 0) faults.push(`does not need ${needs.join(', ')} any more`);
  const cautions = new Set(other.cautions.map(toText));
  if (check.cautions.some((caution) => !cautions.has(toText(caution))))
    faults.push('one of its cautions is gone');
  for (const field of ['zone', 'method', 'helper', 'guide'] as const)
    if (check[field] !== other[field]) faults.push(`its ${field} is not as it ships`);
  if (check.source && other.source !== check.source)
    faults.push(`names another rule than ${check.source}`);
  return faults;
}

const rank = (harm: Symptom['harm']) => HARMS.indexOf(harm);

function findMilder(check: Check, other: Check): string[] {
  return check.symptoms.flatMap((symptom) => {
    const now = other.symptoms.find(({ id }) => id === symptom.id);
    if (!now) return [`the symptom ${symptom.id} is missing`];
    const faults: string[] = [];
    if (rank(now.harm) < rank(symptom.harm))
      faults.push(`${symptom.id} weighs less than ${symptom.harm}`);
    const kept = symptom.takes.filter((each) => !now.takes.includes(each));
    if (kept.length > 0) faults.push(`${symptom.id} does not take ${kept.join(', ')} away`);
    // What makes it weigh more, and what it leads to, stays; only its words, its harm and what it takes may change.
    const { words: _, harm: _harm, takes: _takes, scale: _scale, ...rest } = symptom;
    const { words: _w, harm: _h, takes: _t, scale: _s, ...others } = now;
    if (toText(rest) !== toText(others)) faults.push(`${symptom.id} is not as it ships`);
    for (const step of symptom.scale?.steps ?? []) {
      const same = now.scale?.steps.find(({ id }) => id === step.id);
      if (!same || rank(same.harm) < rank(step.harm))
        faults.push(`${symptom.id}, ${step.id} weighs less than ${step.harm}`);
    }
    return faults;
  });
}

/** Every limit of the law must stand, or a stricter one of the same side in its place. */
function findWider(check: Check, other: Check): string[] {
  const { reading } = check;
  if (!reading) return [];
  const { bands: _, ask: _ask, required: _required, ...rest } = reading;
  const { bands = [], ask: _a, required: _r, ...others } = other.reading ?? {};
  if (toText(rest) !== toText(others)) return ['what can be measured is not as it ships'];
  const there = new Set(bands.map(toText));
  return reading.bands.flatMap((band) => {
    const law = lawOf(band);
    if (!law) return there.has(toText(band)) ? [] : [`its limit for ${band.symptom} is gone`];
    const holds = other.reading?.bands.some(
      (each) =>
        each.side === band.side &&
        each.symptom === band.symptom &&
        (each.only === undefined || each.only === band.only) &&
        each.limit.from !== 'specification' &&
        !isLooser(toSi(each.limit.value, each.limit.unit), law.si, band.side),
    );
    return holds ? [] : [`its limit is looser than law, ${law.words}`];
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
