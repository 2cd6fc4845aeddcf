import {
  CAPABILITIES,
  CIRCUMSTANCES,
  type Capability,
  type Circumstance,
} from '@nazar/core/catalogue';

/** One symptom in one situation, to be looked at under several policies. */
export interface Comparison {
  readonly checkId: string;
  readonly symptomId: string;
  readonly stepId?: string;
  readonly circumstances: readonly Circumstance[];
  readonly needed: readonly Capability[];
}

/** As an address holds it. */
export interface ComparisonParams extends Record<string, string | undefined> {
  readonly check?: string;
  readonly symptom?: string;
  readonly step?: string;
  readonly in?: string;
  readonly needs?: string;
}

export function toParams(comparison: Comparison): Record<string, string> {
  return {
    check: comparison.checkId,
    symptom: comparison.symptomId,
    ...(comparison.stepId && { step: comparison.stepId }),
    in: comparison.circumstances.join(','),
    needs: comparison.needed.join(','),
  };
}

/** What an address says, as far as it can be understood. */
export function fromParams(params: ComparisonParams): Comparison {
  const list = (text: string | undefined) => (text ?? '').split(',');
  return {
    checkId: params.check ?? '',
    symptomId: params.symptom ?? '',
    stepId: params.step,
    circumstances: CIRCUMSTANCES.filter((each) => list(params.in).includes(each)),
    needed: CAPABILITIES.filter((each) => list(params.needs).includes(each)),
  };
}
