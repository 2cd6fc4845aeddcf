import type { Bar, Capability, Circumstance } from '../catalogue';
import { conditionsThatStand, type Finding, type Verdict } from './verdict';

/** Why a rig may not leave for a job. */
export type Objection =
  | { readonly code: 'missing-capability'; readonly capability: Capability }
  | {
      readonly code: 'blocked';
      readonly capability: Capability;
      readonly findings: readonly Finding[];
    }
  /** A condition rules out this moment or this job; a supervisor may take it off. */
  | { readonly code: 'condition'; readonly bar: Bar; readonly finding: Finding }
  /** Equipment is out of service though the rig may roll: the policy wants an officer's word. */
  | { readonly code: 'officer'; readonly capabilities: readonly Capability[] };

export interface JobRequest {
  readonly verdict: Verdict;
  readonly findings: readonly Finding[];
  /** What the job needs beyond `road`, which every job needs. */
  readonly needs: readonly Capability[];
  readonly circumstances: ReadonlySet<Circumstance>;
  /** Whether any unit's policy wants an officer to release what rolls with equipment out of service. */
  readonly officerReleases: boolean;
  readonly released: boolean;
  /** Only the way to the workshop: a condition that says "to the nearest repair" is no objection then. */
  readonly toWorkshop?: boolean;
}

/**
 * Whether the rig may leave for this job, with every objection and the findings behind it.
 * No objection means that it may, under the verdict's conditions.
 */
export function findObjections(request: JobRequest): Objection[] {
  const { verdict } = request;
  const needs = [...new Set<Capability>(['road', ...request.needs])];
  const objections = needs.flatMap((capability): Objection[] => {
    const found = verdict.capabilities.find((each) => each.capability === capability);
    if (!found) return [{ code: 'missing-capability', capability }];
    if (found.state !== 'blocked') return [];
    return [
      {
        code: 'blocked',
        capability,
        findings: found.findings.filter(({ grade }) => grade === 'major'),
      },
    ];
  });
  objections.push(...barred(request, needs));
  const out = verdict.capabilities
    .filter(({ capability, state }) => state === 'blocked' && !needs.includes(capability))
    .map(({ capability }) => capability);
  if (request.officerReleases && !request.released && out.length > 0)
    objections.push({ code: 'officer', capabilities: out });
  return objections;
}

function barred(
  { findings, circumstances, toWorkshop }: JobRequest,
  needs: readonly Capability[],
): Objection[] {
  return conditionsThatStand(findings).flatMap((finding): Objection[] => {
    const { bars: bar } = finding;
    if (bar === undefined) return [];
    const applies =
      bar === 'job'
        ? !toWorkshop
        : circumstances.has(bar) || (bar === 'towing' && needs.includes('tow'));
    return applies ? [{ code: 'condition', bar, finding }] : [];
  });
}
