import type { Bar, Capability } from '../catalogue';
import type { Reason } from './grade-symptom';
import type { Grade } from './policy';

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
  readonly bars?: Bar;
  /** km/h */
  readonly mostKmh?: number;
  /** A supervisor took the condition of a minor finding off; it stays a finding. */
  readonly lifted?: Lifted;
}

export interface Lifted {
  /** Who, as an id of a person. */
  readonly by: string;
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly words: string;
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
  /** The lowest speed that any minor finding asks for, km/h. */
  readonly mostKmh?: number;
}

export interface VerdictRequest {
  readonly capabilities: readonly Capability[];
  /** Units whose road is the rig's towing. A unit that is not named here counts as the one that drives. */
  readonly towed: ReadonlySet<string>;
  readonly findings: readonly Finding[];
}

/**
 * What the rig may do today. A capability is blocked by any major finding that takes it,
 * limited by a minor one. `road` of a towed unit is the rig's `tow`: without that unit the first may still roll.
 * Adding a finding never improves a verdict; lifting takes a condition off, never a limit and never a block.
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
  const standing = conditionsThatStand(request.findings);
  const speeds = standing.flatMap(({ mostKmh }) => (mostKmh === undefined ? [] : [mostKmh]));
  return {
    headline: headlineOf(capabilities),
    capabilities,
    conditions: [...new Set(standing.flatMap(({ condition }) => condition ?? []))],
    ...(speeds.length > 0 && { mostKmh: Math.min(...speeds) }),
  };
}

/** Minor findings whose condition nobody has taken off. */
export function conditionsThatStand(findings: readonly Finding[]): Finding[] {
  return findings.filter((finding) => finding.grade === 'minor' && !finding.lifted);
}

function bears(finding: Finding, capability: Capability, request: VerdictRequest): boolean {
  const towed = request.towed.has(finding.unitId);
  // A minor fault limits driving on the road (or towing); the yard is limited by nothing less than a major.
  const taken: readonly Capability[] =
    finding.grade === 'major' ? blocksOf(finding) : finding.grade === 'minor' ? ['road'] : [];
  const ofRig = taken.map((each) => (towed && each === 'road' ? 'tow' : each));
  if (ofRig.includes(capability)) return true;
  // What may not go on the road may not tow, race along or carry anybody there either.
  return ofRig.includes('road') && finding.grade === 'major' && ON_THE_ROAD.includes(capability);
}

const ON_THE_ROAD: readonly Capability[] = ['tow', 'highway', 'passengers'];

/** A major finding that does not say what it blocks takes the road. */
function blocksOf({ blocks }: Finding): readonly Capability[] {
  return blocks.length > 0 ? blocks : ['road'];
}

function headlineOf(capabilities: readonly CapabilityVerdict[]): Headline {
  const road = capabilities.find((each) => each.capability === 'road');
  if (!road || road.state === 'blocked') return 'stays';
  return capabilities.every((each) => each.state === 'clear') ? 'rolls' : 'limits';
}
