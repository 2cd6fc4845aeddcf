import { HARMS, type Band, type Check, type Module, type Symptom } from '../catalogue';
import { toSi } from '../quantity';

/**
 * Where a module that was brought in asks less than the one that ships: a check or symptom that is gone, one that
 * weighs less, a limit looser than law. A house may only be stricter.
 */
export function findLooser(shipped: Module, brought: Module): string[] {
  const checks = new Map(brought.checks.map((check) => [check.id, check]));
  return shipped.checks.flatMap((check) => {
    const other = checks.get(check.id);
    if (!other) return [`${check.id} is missing; switch it off with a reason instead`];
    return [
      ...findLooserAsking(check, other),
      ...findMilder(check, other),
      ...findWider(check, other),
    ].map((words) => `${check.id}: ${words}`);
  });
}

function findLooserAsking(check: Check, other: Check): string[] {
  const faults: string[] = [];
  const phases = check.phases.filter((phase) => !other.phases.includes(phase));
  if (phases.length > 0) faults.push(`is not asked any more in ${phases.join(', ')}`);
  const rarer = other.when?.filter((each) => !check.when?.includes(each)) ?? [];
  if (rarer.length > 0) faults.push(`is asked only when ${rarer.join(', ')}`);
  if (check.each && other.each !== check.each) faults.push(`is not asked at every ${check.each}`);
  if (check.reading?.required && !other.reading?.required)
    faults.push('its reading may not be left out');
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
  return (check.reading?.bands ?? []).flatMap((band) => {
    const law = lawOf(band);
    if (!law) return [];
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
