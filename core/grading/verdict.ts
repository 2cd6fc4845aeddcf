import type { Capability, System } from '../catalogue';
import type { Limitation, Reason } from './grade-symptom';
import type { Grade } from './policy';

/** Something that bears on what the rig may do: a fault, a gap, a repair nobody has read. */
export interface Finding extends Limitation {
  readonly kind: 'fault' | 'gap' | 'known-open' | 'repair-unread';
  /** Check instance key or defect id. */
  readonly about: string;
  readonly unitId: string;
  readonly title: string;
  readonly grade: Grade;
  /** Capabilities of its unit that it takes. */
  readonly blocks: readonly Capability[];
  readonly chain: readonly Reason[];
  /** Classes of parts that it is about; several where nobody has looked. */
  readonly systems?: readonly System[];
  /** What it limits beside its grade. */
  readonly further?: readonly Limitation[];
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
  /** Something is coupled: what may not be towed keeps the rig from leaving as it stands. */
  readonly coupled: boolean;
  /** The headline without what is coupled, where that keeps the rig from leaving: dropping it is a change of the rig. */
  readonly uncoupled?: Headline;
}

export interface VerdictRequest {
  readonly capabilities: readonly Capability[];
  /** Units whose road is the rig's towing. A unit that is not named here counts as the one that drives. */
  readonly towed: ReadonlySet<string>;
  readonly findings: readonly Finding[];
}

/**
 * What the rig may do today. A capability is blocked by any major finding that takes it,
 * limited by a minor one. `road` of a towed unit is the rig's `tow`: as coupled the whole rig stays, without that unit the first may
 * still roll. Adding a finding never improves a verdict; lifting takes a condition off, never a limit and never a block.
 */
export function decideVerdict(request: VerdictRequest): Verdict {
  const all = request.findings.flatMap(apart);
  // Each finding is weighed once; a walk on which nobody could look has hundreds.
  const weighing = all
    .filter(({ grade }) => grade === 'minor' || grade === 'major')
    .map((finding) => ({ finding, bears: bearsOn(finding, request) }));
  const capabilities = request.capabilities.map((capability): CapabilityVerdict => {
    const findings = weighing
      .filter(({ bears }) => bears(capability))
      .map(({ finding }) => finding);
    const blocked = findings.some(({ grade }) => grade === 'major');
    return {
      capability,
      state: blocked ? 'blocked' : findings.length > 0 ? 'limited' : 'clear',
      findings,
    };
  });
  const standing = all.filter(stands);
  const speeds = standing.flatMap(({ mostKmh }) => (mostKmh === undefined ? [] : [mostKmh]));
  const coupled = request.towed.size > 0;
  const alone = headlineOf(capabilities);
  const tow = capabilities.find(({ capability }) => capability === 'tow');
  const held = coupled && tow?.state === 'blocked';
  return {
    headline: held ? 'stays' : alone,
    capabilities,
    conditions: [...new Set(standing.flatMap(({ condition }) => condition ?? []))],
    ...(speeds.length > 0 && { mostKmh: Math.min(...speeds) }),
    coupled,
    ...(held && alone !== 'stays' && { uncoupled: alone }),
  };
}

/** A finding, and beside it what else it limits: each on its own, as a minor one. */
function apart(finding: Finding): Finding[] {
  const { further = [] } = finding;
  if (further.length === 0) return [finding];
  const { kind, about, unitId, title, chain, systems, lifted } = finding;
  const of = { kind, about, unitId, title, chain, systems, lifted };
  return [
    finding,
    ...further.map((limitation): Finding => ({ ...of, grade: 'minor', blocks: [], ...limitation })),
  ];
}

/** What is to be heeded of minor findings, each condition on its own, where nobody has taken it off. */
export function conditionsThatStand(findings: readonly Finding[]): Finding[] {
  return findings.flatMap(apart).filter(stands);
}

const stands = (finding: Finding) => isToBeHeeded(finding) && !finding.lifted;

/** Minor, or to be done before leaving whatever it weighs. */
export function isToBeHeeded({ grade, bars }: Pick<Finding, 'grade' | 'bars'>): boolean {
  return grade === 'minor' || bars === 'before-leaving';
}

/** Whether a finding weighs on a capability. */
function bearsOn(finding: Finding, request: VerdictRequest): (capability: Capability) => boolean {
  const towed = request.towed.has(finding.unitId);
  // A minor fault limits driving on the road (or towing); the yard is limited by nothing less than a major.
  const taken: readonly Capability[] =
    finding.grade === 'major' ? blocksOf(finding) : finding.grade === 'minor' ? ['road'] : [];
  // Where nothing of the rig speaks of towing, what is towed is of its road.
  const roadOfTowed = request.capabilities.includes('tow') ? 'tow' : 'road';
  const ofRig = new Set(taken.map((each) => (towed && each === 'road' ? roadOfTowed : each)));
  if (!ofRig.has('road') || finding.grade !== 'major') return (capability) => ofRig.has(capability);
  // What cannot stop, steer or stand on its wheels does no work that is driving; where its part is not known, it may be one of these.
  const { systems } = finding;
  const rollsOn = !systems || systems.some((each) => ROLLS_ON.has(each));
  return (capability) =>
    ofRig.has(capability) ||
    // What may not go on the road may not tow, race along or carry anybody there either.
    ON_THE_ROAD.includes(capability) ||
    (DRIVEN_WORK.includes(capability) && rollsOn);
}

const ON_THE_ROAD: readonly Capability[] = ['tow', 'highway', 'passengers'];

/** Work that is done by driving. */
const DRIVEN_WORK: readonly Capability[] = ['yard', 'plow', 'spread'];

/** What a vehicle stops, steers and stands on, on a road or off it. */
const ROLLS_ON: ReadonlySet<System> = new Set<System>([
  'brakes',
  'steering',
  'wheels',
  'tyres',
  'suspension',
  'frame',
]);

/** A major finding that does not say what it blocks takes the road. */
function blocksOf({ blocks }: Finding): readonly Capability[] {
  return blocks.length > 0 ? blocks : ['road'];
}

function headlineOf(capabilities: readonly CapabilityVerdict[]): Headline {
  const road = capabilities.find((each) => each.capability === 'road');
  if (!road || road.state === 'blocked') return 'stays';
  return capabilities.every((each) => each.state === 'clear') ? 'rolls' : 'limits';
}
