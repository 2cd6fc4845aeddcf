import type { Bar, Capability, Circumstance } from '../catalogue';
import { conditionsThatStand, type Finding, type Verdict } from './verdict';

/** What was last said to be out, and what puts it back. */
export interface LeftOutItem {
  readonly change: string;
  readonly unitId?: string;
}

/** Why a rig may not leave for a job. */
export type Objection =
  | { readonly code: 'missing-capability'; readonly capability: Capability }
  | {
      readonly code: 'blocked';
      readonly capability: Capability;
      readonly findings: readonly Finding[];
    }
  /** Something of it is still out, up or open by what was said on the walk. */
  | { readonly code: 'left-out'; readonly items: readonly LeftOutItem[] }
  /** A condition that must be met before anything leaves, and of which nobody has said yet that it is. */
  | { readonly code: 'before-leaving'; readonly finding: Finding }
  /** A condition rules out this moment or this job; a supervisor may take it off. */
  | {
      readonly code: 'condition';
      readonly bar: Exclude<Bar, 'before-leaving'>;
      readonly finding: Finding;
    }
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
  /** What the driver has looked at again and says is as its condition asks, by what the finding is about. */
  readonly met?: ReadonlySet<string>;
  /** What is still as no vehicle may leave, also to the workshop. */
  readonly leftOut?: readonly LeftOutItem[];
}

/**
 * Whether the rig may leave for this job, with every objection and the findings behind it.
 * No objection means that it may, under the verdict's conditions.
 */
export function findObjections(request: JobRequest): Objection[] {
  const { verdict, leftOut = [] } = request;
  // What is coupled leaves with it, whatever the job: also to the workshop.
  const tows = verdict.coupled && verdict.capabilities.some((each) => each.capability === 'tow');
  const coupled: readonly Capability[] = tows ? ['tow'] : [];
  const needs = [...new Set<Capability>(['road', ...request.needs, ...coupled])];
  const told = new Set<string>();
  const objections = needs.flatMap((capability): Objection[] => {
    const found = verdict.capabilities.find((each) => each.capability === capability);
    if (!found) return [{ code: 'missing-capability', capability }];
    if (found.state !== 'blocked') return [];
    const majors = found.findings.filter(({ grade }) => grade === 'major');
    // What keeps the first unit from the road needs not be told again of what it tows.
    const asked = capability === 'road' || request.needs.includes(capability);
    const findings = asked ? majors : majors.filter(({ about }) => !told.has(about));
    for (const { about } of majors) told.add(about);
    return findings.length > 0 ? [{ code: 'blocked', capability, findings }] : [];
  });
  if (leftOut.length > 0) objections.push({ code: 'left-out', items: leftOut });
  objections.push(...barred(request, needs));
  const out = verdict.capabilities
    .filter(({ capability, state }) => state === 'blocked' && !needs.includes(capability))
    .map(({ capability }) => capability);
  if (request.officerReleases && !request.released && out.length > 0)
    objections.push({ code: 'officer', capabilities: out });
  return objections;
}

function barred(
  { findings, circumstances, toWorkshop, met }: JobRequest,
  needs: readonly Capability[],
): Objection[] {
  return conditionsThatStand(findings).flatMap((finding): Objection[] => {
    const { bars: bar } = finding;
    if (bar === undefined) return [];
    if (bar === 'before-leaving')
      return met?.has(finding.about) ? [] : [{ code: 'before-leaving', finding }];
    const applies =
      bar === 'job'
        ? !toWorkshop
        : circumstances.has(bar) || (bar === 'towing' && needs.includes('tow'));
    return applies ? [{ code: 'condition', bar, finding }] : [];
  });
}
