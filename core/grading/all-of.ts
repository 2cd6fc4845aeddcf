import type { Graded, Limitation } from './grade-symptom';
import { worseGrade } from './policy';
import { isToBeHeeded } from './verdict';

/** The same thing to heed has the same name. */
const nameOf = ({ condition, bars, mostKmh }: Limitation) =>
  `${condition ?? ''}|${bars ?? ''}|${mostKmh ?? ''}`;

const limitationOf = ({ condition, bars, mostKmh }: Graded): Limitation => ({
  ...(condition !== undefined && { condition }),
  ...(bars !== undefined && { bars }),
  ...(mostKmh !== undefined && { mostKmh }),
});

/**
 * Several grades of one check at once: what was found by two people, a fault and a reading, or everything that could be where nobody
 * has looked. The worst grade, all that any of them takes, and all that any of them asks to heed.
 * @param all at least one
 */
export function allOf(all: readonly Graded[]): Graded {
  if (all.length === 1) return all[0];
  const worst = all.reduce((a, b) => (worseGrade(a.grade, b.grade) === a.grade ? a : b));
  const minors = all.filter(isToBeHeeded);
  const limitations = [
    ...minors.map(limitationOf),
    ...all.flatMap(({ further = [] }) => further),
    // The worst says its own.
  ].filter((each) => !isToBeHeeded(worst) || nameOf(each) !== nameOf(worst));
  const further = [...new Map(limitations.map((each) => [nameOf(each), each])).values()];
  const { further: _, ...rest } = worst;
  return {
    ...rest,
    blocks: [...new Set(all.flatMap(({ blocks }) => blocks))],
    systems: [...new Set(all.flatMap(({ systems }) => systems))],
    ...(further.length > 0 && { further }),
  };
}
