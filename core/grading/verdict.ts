import type { Capability } from '../catalogue';
import type { Reason } from './grade-symptom';
import type { Grade } from './policies';

/** Something that bears on what the rig may do: a fault, a gap, a repair nobody has read. */
export interface Finding {
  readonly kind: 'fault' | 'gap' | 'known-open' | 'repair-unread';
  /** Check instance key or defect id. */
  readonly about: string;
  readonly unitId: string;
  readonly title: string;
  readonly grade: Grade;
  /** Capabilities of its unit that it takes. */
  readonly blocks: readonly Capability[];
  readonly chain: readonly Reason[];
  readonly condition?: string;
}

export interface CapabilityVerdict {
  readonly capability: Capability;
  readonly state: 'clear' | 'limited' | 'blocked';
  readonly findings: readonly Finding[];
}

export type Headline = 'rolls' | 'limits' | 'stays';

export interface Verdict {
  readonly headline: Headline;
  readonly capabilities: readonly CapabilityVerdict[];
  readonly conditions: readonly string[];
}

export interface VerdictRequest {
  readonly capabilities: readonly Capability[];
  readonly firstUnitId: string;
  readonly findings: readonly Finding[];
}

/**
 * What the rig may do today. A capability is blocked by any major finding that takes it,
 * limited by a minor one. `road` of a towed unit is the rig's `tow`: without that unit the first may still roll.
 * Adding a finding never improves a verdict.
 */
export function decideVerdict(request: VerdictRequest): Verdict {
  const capabilities = request.capabilities.map((capability): CapabilityVerdict => {
    const bearing = request.findings.filter((finding) => bears(finding, capability, request));
    const blocked = bearing.some((finding) => finding.grade === 'major');
    const limited = bearing.some((finding) => finding.grade === 'minor');
    return {
      capability,
      state: blocked ? 'blocked' : limited ? 'limited' : 'clear',
      findings: bearing.filter((finding) => finding.grade === 'minor' || finding.grade === 'major'),
    };
  });
  return {
    headline: headlineOf(capabilities),
    capabilities,
    conditions: [
      ...new Set(
        request.findings
          .filter((finding) => finding.grade === 'minor')
          .map((finding) => finding.condition)
          .filter((words) => words !== undefined),
      ),
    ],
  };
}

function bears(finding: Finding, capability: Capability, request: VerdictRequest): boolean {
  const towed = finding.unitId !== request.firstUnitId;
  // A minor fault limits driving on the road (or towing); the yard is limited by nothing less than a major.
  const taken: readonly Capability[] =
    finding.grade === 'major' ? blocksOf(finding) : finding.grade === 'minor' ? ['road'] : [];
  const ofRig = taken.map((each) => (towed && each === 'road' ? 'tow' : each));
  if (ofRig.includes(capability)) return true;
  // What may not go on the road may not tow there either.
  return capability === 'tow' && ofRig.includes('road') && finding.grade === 'major';
}

/** A major finding that does not say what it blocks takes the road. */
function blocksOf({ blocks }: Finding): readonly Capability[] {
  return blocks.length > 0 ? blocks : ['road'];
}

function headlineOf(capabilities: readonly CapabilityVerdict[]): Headline {
  const road = capabilities.find((each) => each.capability === 'road');
  if (!road || road.state === 'blocked') return 'stays';
  return capabilities.every((each) => each.state === 'clear') ? 'rolls' : 'limits';
}
