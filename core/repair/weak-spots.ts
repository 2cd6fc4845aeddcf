/** Findings on one part of one unit. A part is a check with its place: `check id/place id`. */
export interface PartCount {
  readonly unitId: string;
  readonly moduleId: string;
  readonly part: string;
  readonly findings: number;
}

export interface WalkCount {
  readonly unitId: string;
  readonly moduleId: string;
  readonly walks: number;
}

export interface WeakSpot {
  readonly unitId: string;
  readonly part: string;
  /** Findings per 100 walks, shrunken towards the model's own rate for this part. */
  readonly rate: number;
  /** How many times the usual rate of a part of this unit's model. */
  readonly times: number;
  readonly findings: number;
  readonly walks: number;
  /** Whether this unit alone is weak there, or its whole model. */
  readonly of: 'unit' | 'model';
}

/** As many walks as the model's experience weighs against the unit's own. */
const PRIOR_WALKS = 30;
/** A model's part is pulled towards the usual part by this many walks. */
const MODEL_PRIOR_WALKS = 120;
/** More than its share: this many times the usual rate. */
const SHARE = 3;
const LEAST_FINDINGS = 2;
/** The whole model is weak there: the others of it are, whatever this unit has; their rate is pulled towards the usual one. */
const MODEL_SHARE = 2;

/**
 * Parts with more than their share of findings. Rates are shrunken (a gamma prior under Poisson counts:
 * posterior mean `(findings + k · prior) / (walks + k)`), so that two findings in three walks of a new unit
 * do not shout louder than ten in two hundred of an old one.
 */
export function findWeakSpots(
  parts: readonly PartCount[],
  walks: readonly WalkCount[],
): WeakSpot[] {
  const walksOfUnit = new Map(walks.map((each) => [each.unitId, each.walks]));
  const models = groupByModel(parts, walks);
  return parts
    .flatMap((each): WeakSpot[] => {
      const model = models.get(each.moduleId);
      const own = walksOfUnit.get(each.unitId) ?? 0;
      if (!model || own === 0) return [];
      const usual = model.usual;
      const ofModel = model.rateOf(each.part);
      const ofOthers = model.rateOf(each.part, each.findings, own);
      const rate = (each.findings + PRIOR_WALKS * ofModel) / (own + PRIOR_WALKS);
      const times = usual > 0 ? rate / usual : 0;
      if (each.findings < LEAST_FINDINGS || times < SHARE) return [];
      return [
        {
          unitId: each.unitId,
          part: each.part,
          rate: rate * 100,
          times,
          findings: each.findings,
          walks: own,
          of: ofOthers >= MODEL_SHARE * usual && model.units > 1 ? 'model' : 'unit',
        },
      ];
    })
    .sort((a, b) => b.times - a.times || (a.part < b.part ? -1 : 1));
}

interface Model {
  /** Findings per walk on a part that was ever found faulty. */
  readonly usual: number;
  /** Findings per walk on a part, without what one unit has of them. */
  readonly rateOf: (part: string, findings?: number, walks?: number) => number;
  readonly units: number;
}

function groupByModel(
  parts: readonly PartCount[],
  walks: readonly WalkCount[],
): Map<string, Model> {
  const models = new Map<string, Model>();
  for (const moduleId of new Set(walks.map((each) => each.moduleId))) {
    const own = walks.filter((each) => each.moduleId === moduleId);
    const total = own.reduce((sum, each) => sum + each.walks, 0);
    const counts = new Map<string, number>();
    for (const each of parts)
      if (each.moduleId === moduleId)
        counts.set(each.part, (counts.get(each.part) ?? 0) + each.findings);
    const all = [...counts.values()].reduce((sum, count) => sum + count, 0);
    const usual = total > 0 && counts.size > 0 ? all / counts.size / total : 0;
    const rateOf = (part: string, findings = 0, walked = 0) =>
      ((counts.get(part) ?? 0) - findings + MODEL_PRIOR_WALKS * usual) /
      (total - walked + MODEL_PRIOR_WALKS);
    models.set(moduleId, { usual, rateOf, units: own.length });
  }
  return models;
}
