import type { Catalogue, Circumstance } from '../catalogue';
import { gradeSymptom } from './grade-symptom';
import type { Grade, Policy } from './policy';

export interface TableRow {
  readonly module: string;
  readonly check: string;
  readonly symptom: string;
  readonly words: string;
  /** Step of the scale; undefined where none is asked. */
  readonly step?: string;
  /** Under each policy by day and dry, in the order of the policies. */
  readonly grades: readonly Grade[];
  /** The same in the dark, wet and freezing, towing and with passengers. */
  readonly atWorst: readonly Grade[];
  /** Policies that have no rule for it and so count it as major: none, if all is well. */
  readonly holes: readonly string[];
}

const WORST: readonly Circumstance[] = ['dark', 'wet', 'freezing', 'towing', 'passengers'];

/** Every symptom, and every step of its scale, graded under every policy. */
export function gradingTable(catalogue: Catalogue, policies: readonly Policy[]): TableRow[] {
  return catalogue.modules.flatMap((module) =>
    module.checks.flatMap((check) =>
      check.symptoms.flatMap((symptom) =>
        (symptom.scale?.steps ?? [undefined]).map((step): TableRow => {
          const under = (circumstances: readonly Circumstance[]) =>
            policies.map((policy) =>
              gradeSymptom({
                symptom,
                stepId: step?.id,
                circumstances: new Set(circumstances),
                alike: 1,
                policies: [policy],
              }),
            );
          const usual = under([]);
          const atWorst = under(WORST);
          return {
            module: module.id,
            check: check.id,
            symptom: symptom.id,
            words: symptom.words,
            step: step?.id,
            grades: usual.map(({ grade }) => grade),
            atWorst: atWorst.map(({ grade }) => grade),
            holes: policies
              .filter((_, index) =>
                [usual[index], atWorst[index]].some(({ chain }) =>
                  chain.some(({ code }) => code === 'rule-missing'),
                ),
              )
              .map(({ id }) => id),
          };
        }),
      ),
    ),
  );
}
