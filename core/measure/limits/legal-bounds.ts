import { LAW, PUSHROD_STROKE, STEERING_FREE_PLAY, type LegalFigure } from '../../catalogue';
import { toSi } from '../../quantity';

const si = ({ value, unit }: LegalFigure) => toSi(value, unit);

/** What the law says to a field of a unit's card: a limit of the card is never laxer. */
export interface LegalBound {
  /** SI. */
  readonly value: number;
  readonly source: string;
}

type Specification = Readonly<Record<string, number>>;

interface Rule {
  /** Side of the reading that is not sound. */
  readonly side: 'below' | 'above';
  /** SI; undefined where the card lacks what the law asks for. */
  readonly value: (specification: Specification) => number | undefined;
  readonly source: string;
  /** The law's number counts where the card has none of its own; elsewhere a card must say. */
  readonly standsAlone?: true;
}

/** Lining of a drum, or of a disc where the card says that the unit has them. */
function lining(drum: LegalFigure): Rule {
  return {
    side: 'below',
    value: ({ discBrakes }) => si(discBrakes > 0 ? LAW.liningAirDisc : drum),
    source: drum.source,
    standsAlone: true,
  };
}

/** Stroke of a chamber of this type, which is stamped on it. */
function stroke(type: string): Rule {
  return {
    side: 'above',
    value: (specification) =>
      pushrodStroke(specification[type], specification.longStrokeChambers > 0),
    source: '49 CFR 393.47(e); 396, Appendix A, 1.a(5)',
    standsAlone: true,
  };
}

/**
 * Where law bounds a card; the numbers stand in core/catalogue/law.ts. A field that is not here has no public limit: cut-out is
 * "as specified", the cold pressure of a tyre is the maker's.
 */
const RULES: Readonly<Record<string, Rule>> = {
  // The lower of the two: half of the cut-out is less than 55 psi only on a system of low pressure.
  lowPressureWarning: {
    side: 'below',
    value: ({ governorCutOutHigh }) =>
      Math.min(si(LAW.lowAirWarning), governorCutOutHigh > 0 ? governorCutOutHigh / 2 : Infinity),
    source: LAW.lowAirWarning.source,
  },
  // 85 psi of a bus, 100 psi of a truck; a bus says on its card how many it seats.
  governorCutInLow: {
    side: 'below',
    value: ({ passengerSeats }) => si(passengerSeats > 0 ? LAW.cutInBus : LAW.cutInTruck),
    source: LAW.cutInTruck.source,
  },
  steeringFreePlay: {
    side: 'above',
    value: ({ steeringWheelDiameter, powerSteering }) =>
      freePlayAngle(steeringWheelDiameter, powerSteering !== 0),
    source: '49 CFR 393.209(b)',
  },
  liningLeastSteer: lining(LAW.liningSteerDrum),
  liningLeast: lining(LAW.liningOtherDrum),
  strokeMostSteer: stroke('chamberSteer'),
  strokeMost: stroke('chamber'),
  ropeWiresMost: {
    side: 'above',
    // A rope of which nobody has said that it is a usual one is taken for one that resists rotation.
    value: ({ rotationResistant }) =>
      (rotationResistant === 0 ? LAW.ropeWiresInLay.value : LAW.ropeWiresRotationResistant.value) -
      1,
    source: LAW.ropeWiresInLay.source,
    standsAlone: true,
  },
  buildUpMost: {
    side: 'above',
    value: ({ tanksActual, tanksRequired }) => buildUpTime(tanksActual, tanksRequired),
    source: `${LAW.buildUp.source}; 49 CFR 571.121 S5.1.1 where the card knows the tanks`,
    standsAlone: true,
  },
};

/**
 * Stroke with which a push rod is out of adjustment.
 * @param type of the chamber, as stamped on it: 6 to 36
 * @returns m; undefined for a type that the table does not have
 */
export function pushrodStroke(type: number | undefined, longStroke: boolean): number | undefined {
  const line = PUSHROD_STROKE.find(([each]) => each === type);
  if (!line) return undefined;
  const [, usual, long] = line;
  return toSi((longStroke ? long : undefined) ?? usual, 'in');
}

/** Nobody has tanks more than three times as large as required; a card that says so is mistaken. */
const MOST_TANKS = 3;

/**
 * Longest build-up from 85 to 100 psi: 25 s for tanks of the required size, longer by as much as they are larger
 * (49 CFR 571.121 S5.1.1); 45 s where the tanks are not known (licence manual).
 * @param actual volume of all service tanks, m³
 * @param required twelve times the volume of all chambers, m³
 * @returns s
 */
export function buildUpTime(actual: number | undefined, required: number | undefined): number {
  const ratio = actual !== undefined && required !== undefined ? actual / required : NaN;
  return ratio >= 1 && ratio <= MOST_TANKS ? si(LAW.buildUpRequiredTanks) * ratio : si(LAW.buildUp);
}

/**
 * Most free play of a steering wheel as an angle (49 CFR 393.209(b)).
 * @param diameter metres; where it is not known, the line that allows most
 * @returns rad
 */
export function freePlayAngle(diameter: number | undefined, power: boolean): number {
  const angles = STEERING_FREE_PLAY.map(([inches, byHand, withPower]) => ({
    diameter: toSi(inches, 'in'),
    angle: (2 * (power ? withPower : byHand)) / inches,
  }));
  if (diameter === undefined) return Math.max(...angles.map(({ angle }) => angle));
  const line = angles.find((each) => diameter <= each.diameter + 1e-6) ?? angles[angles.length - 1];
  return line.angle;
}

/**
 * The law's limit where a card's is laxer.
 * @param value SI, of the card
 */
export function boundByLaw(
  field: string,
  side: 'below' | 'above',
  value: number,
  specification: Specification,
): LegalBound | undefined {
  const rule = Object.hasOwn(RULES, field) ? RULES[field] : undefined;
  if (rule?.side !== side) return undefined;
  const law = rule.value(specification);
  if (law === undefined) return undefined;
  // A rounding error of a conversion is not laxer.
  const laxer = (side === 'below' ? law - value : value - law) > 1e-9 * Math.abs(law);
  return laxer ? { value: law, source: rule.source } : undefined;
}

/** The law's limit where the card has none: of a field whose number the law itself gives. */
export function legalLimit(
  field: string,
  side: 'below' | 'above',
  specification: Specification,
): LegalBound | undefined {
  const rule = Object.hasOwn(RULES, field) ? RULES[field] : undefined;
  if (!rule?.standsAlone || rule.side !== side) return undefined;
  const value = rule.value(specification);
  return value === undefined ? undefined : { value, source: rule.source };
}

/** Fields of a card that law bounds. */
export const BOUNDED_FIELDS: readonly string[] = Object.keys(RULES);
