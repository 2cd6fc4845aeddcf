import type { UnitName } from '../quantity';

/** A number of the law, with the paragraph that it stands in. */
export interface LegalFigure {
  readonly value: number;
  readonly unit: UnitName;
  readonly source: string;
}

const figure = (value: number, unit: UnitName, source: string): LegalFigure => ({
  value,
  unit,
  source,
});

/** A handbook for drivers is no law; it is what they are examined by, and says so. */
const MANUAL = 'Commercial driver licence manual, section 5.3';

/** Every legal number that is judged by: content, bounds of cards and tests take them from here. */
export const LAW = {
  treadSteer: figure(4, '32nds', '49 CFR 393.75(b)'),
  treadOther: figure(2, '32nds', '49 CFR 393.75(c)'),
  leakReleasedAlone: figure(2, 'psi/min', '49 CFR 570.57(a)'),
  leakReleasedTowing: figure(3, 'psi/min', '49 CFR 570.57(a)'),
  leakAppliedAlone: figure(3, 'psi/min', '49 CFR 570.57(a)'),
  leakAppliedTowing: figure(4, 'psi/min', '49 CFR 570.57(a)'),
  springValveLeast: figure(20, 'psi', '49 CFR 393.43(b)'),
  springValveMost: figure(45, 'psi', '49 CFR 393.43(b)'),
  buildUp: figure(45, 's', `${MANUAL} (85 to 100 psi)`),
  // Of tanks that are exactly as large as required; larger ones take longer by as much.
  buildUpRequiredTanks: figure(25, 's', '49 CFR 571.121 S5.1.1 (85 to 100 psi)'),
  lowAirWarning: figure(55, 'psi', '49 CFR 393.51'),
  cutInTruck: figure(100, 'psi', `${MANUAL}; 49 CFR 570.57(b)`),
  cutInBus: figure(85, 'psi', `${MANUAL}; 49 CFR 570.57(b)`),
  slackPlay: figure(1, 'in', MANUAL),
  /** Least distance of any part of crane, rope or load from a line of up to 50 kV. */
  lineDistance: figure(3.05, 'm', '29 CFR 1926.1408 Table A'),
  liningSteerDrum: figure(3 / 16, 'in', '49 CFR 393.47(d)(1)'),
  liningOtherDrum: figure(1 / 4, 'in', '49 CFR 393.47(d)(2)'),
  liningAirDisc: figure(1 / 8, 'in', '49 CFR 393.47(d)'),
  liningHydraulic: figure(1 / 16, 'in', '49 CFR 393.47(d)(2)'),
  fifthWheelMovement: figure(1 / 2, 'in', '49 CFR 393.70(b); 396, Appendix A, 3'),
  breakawayHolds: figure(15, 'min', '49 CFR 393.43(d)'),
  // B:C rating on the label; with placards for hazardous goods, and without.
  extinguisherPlacarded: figure(10, 'pieces', '49 CFR 393.95(a)(1)'),
  extinguisher: figure(5, 'pieces', '49 CFR 393.95(a)(2)'),
  triangles: figure(3, 'pieces', '49 CFR 393.95(f)'),
  // Broken wires of a running rope with which it is taken out of service; of one that resists rotation.
  ropeWiresInLay: figure(6, 'pieces', '29 CFR 1926.1413(a)(2)(ii)(A)'),
  ropeWiresInStrand: figure(3, 'pieces', '29 CFR 1926.1413(a)(2)(ii)(A)'),
  ropeWiresRotationResistant: figure(2, 'pieces', '29 CFR 1926.1413(a)(2)(ii)(A)'),
} as const satisfies Readonly<Record<string, LegalFigure>>;

/**
 * Most free play of a steering wheel (49 CFR 393.209(b)), inches: up to which diameter a line holds, at the rim by hand, with power.
 */
export const STEERING_FREE_PLAY = [
  [16, 2, 4.25],
  [18, 2.25, 4.75],
  [19, 2.375, 5],
  [20, 2.5, 5.25],
  [21, 2.625, 5.5],
  [22, 2.75, 5.75],
] as const;

/**
 * Stroke at which the push rod of a clamp-type chamber is out of adjustment (49 CFR 396, Appendix A, 1.a(5); 393.47(e)), inches:
 * its type, the usual chamber, the long-stroke one.
 */
export const PUSHROD_STROKE = [
  [6, 1.25],
  [9, 1.375],
  [12, 1.375],
  [16, 1.75, 2],
  [20, 1.75, 2],
  [24, 1.75, 2],
  [30, 2, 2.5],
  [36, 2.25],
] as const;
