import type { Capability, Symptom } from '../catalogue';
import type { Reason } from './grade-symptom';
import type { Finding } from './verdict';
import { worstSymptom, type CountsAt, type Situation } from './worst-symptom';

/** What was not looked at, not answered, or has to be measured again. */
export interface Gap {
  /** Check instance key. */
  readonly about: string;
  readonly unitId: string;
  readonly title: string;
  readonly symptoms: readonly Symptom[];
}

/** Not looked is not sound: it weighs as the worst that the check could have shown. */
export function gapFinding(
  { about, unitId, title, symptoms }: Gap,
  reason: Reason,
  situation: Situation,
  counted?: CountsAt,
): Finding {
  const { policyId: _, ...worst } = worstSymptom(symptoms, situation, counted);
  return { kind: 'gap', about, unitId, title, ...worst, chain: [reason, ...worst.chain] };
}

/** A test that a fault bars takes only the capability that it would have proved; the fault takes its own. */
export function barredFinding(gap: Finding, proves: readonly Capability[]): Finding {
  return { ...gap, grade: 'major', blocks: proves, further: undefined };
}
