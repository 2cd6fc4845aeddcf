import { type Phase } from '../../catalogue';
import { catalogue } from '../../content';
import { BOUNDED_FIELDS } from '../../measure';
import { toSi, type UnitName } from '../../quantity';
import { composeRig, type Unit } from '../../rig';
import { measuredOf, truck } from '../../testing';
import { walked, type Say } from '../../testing/walked';

interface Bounded {
  /** A reading that the law does not allow. */
  readonly worse: number;
  readonly unit: UnitName;
  /** What else stands on the card that the law asks for. */
  readonly card?: Readonly<Record<string, number>>;
  readonly moduleId?: string;
  readonly phase?: Phase;
}

/** What the public rule says, in the unit of the rule: worked from its text, not from the code. */
const LAW: Readonly<Record<string, Bounded>> = {
  // 49 CFR 393.51: 55 psi; half of a cut-out of 120 psi is more.
  lowPressureWarning: { worse: 52, unit: 'psi' },
  // A truck's governor cuts in at 100 psi (licence manual 5.3.4).
  governorCutInLow: { worse: 95, unit: 'psi' },
  // 49 CFR 393.209(b): 4 1/4 in on a wheel of 16 in is 30.4 degrees.
  steeringFreePlay: { worse: 34, unit: '°' },
  // 49 CFR 393.47(d): 3/16 in on the steer axle, 1/4 in on others, 1/8 in of a disc pad.
  liningLeastSteer: { worse: 0.17, unit: 'in' },
  liningLeast: { worse: 0.23, unit: 'in' },
  // 49 CFR 396, Appendix A: type 20 at 1 3/4 in, type 30 at 2 in.
  strokeMostSteer: { worse: 1.9, unit: 'in', card: { chamberSteer: 20 }, phase: 'monthly' },
  strokeMost: { worse: 2.1, unit: 'in', card: { chamber: 30 }, phase: 'monthly' },
  // Licence manual 5.3: 45 s from 85 to 100 psi.
  buildUpMost: { worse: 47, unit: 's' },
  // 29 CFR 1926.1413(a)(2): six broken wires in a lay.
  ropeWiresMost: {
    worse: 6,
    unit: 'pieces',
    card: { rotationResistant: 0 },
    moduleId: 'mobile-crane',
  },
};

/** What one reading, taken twice, comes to on a card. */
function readOn(
  field: string,
  of: Omit<Bounded, 'worse'> & { readonly value: number },
  own: Readonly<Record<string, number>> = {},
) {
  const { moduleId = truck.moduleId, phase = 'pre-trip', card = {} } = of;
  const unit: Unit = {
    ...truck,
    moduleId,
    fitted: [],
    specification: { ...truck.specification, ...card, ...own },
  };
  const rig = composeRig({ units: [unit], phase, circumstances: [], catalogue });
  const instance = rig.instances.find(({ check }) =>
    check.reading?.bands.some(({ limit }) => 'field' in limit && limit.field === field),
  );
  if (!instance) throw new Error(field);
  const read: Say = (log, { key }) => {
    log.add('measured', measuredOf(key, of.value, of.unit));
    log.add('measured', measuredOf(key, of.value, of.unit));
  };
  const { assessment } = walked(rig, new Map([[instance.key, read]]), { policy: 'two-step' });
  return assessment.byKey.get(instance.key);
}

describe('5. a card', () => {
  it('bounds every field that law bounds, and the test knows each', () => {
    expect([...BOUNDED_FIELDS].sort()).toEqual(Object.keys(LAW).sort());
  });

  it.each(Object.entries(LAW))('%s is never laxer than the law, whatever it says', (field, law) => {
    const side = /Least|Low|Warning/.test(field) ? 0 : 1e6;
    const state = readOn(field, { ...law, value: law.worse }, { [field]: side });
    expect(state?.judgement?.outcome).toBe('out');
    expect(state?.graded?.chain.map(({ code }) => code)).toContain('card-laxer');
  });

  it.each([
    // Worked by hand from the paragraph: what is read, and whether it stops where the card itself is silent.
    ['liningLeastSteer', 5, 'mm', {}, 'sound'],
    ['liningLeastSteer', 4.4, 'mm', {}, 'major'],
    ['liningLeast', 5, 'mm', {}, 'major'],
    ['liningLeast', 7, 'mm', {}, 'sound'],
    ['liningLeast', 4, 'mm', { discBrakes: 1 }, 'sound'],
    ['liningLeast', 3, 'mm', { discBrakes: 1 }, 'major'],
    ['strokeMost', 1.9, 'in', { chamber: 30 }, 'sound'],
    ['strokeMost', 2.1, 'in', { chamber: 30 }, 'major'],
    ['strokeMost', 2.4, 'in', { chamber: 30, longStrokeChambers: 1 }, 'sound'],
    ['strokeMostSteer', 1.9, 'in', { chamberSteer: 20 }, 'major'],
    ['strokeMostSteer', 1.6, 'in', { chamberSteer: 20 }, 'sound'],
    // Nobody knows the chamber: no limit, and so it is not sound.
    ['strokeMost', 1.5, 'in', {}, 'major'],
    ['buildUpMost', 44, 's', {}, 'sound'],
    ['buildUpMost', 48, 's', {}, 'major'],
    // Tanks of twice the required size may take 50 s; tanks of just that size 25 s.
    ['buildUpMost', 48, 's', { tanksActual: 0.12, tanksRequired: 0.06 }, 'sound'],
    ['buildUpMost', 30, 's', { tanksActual: 0.06, tanksRequired: 0.06 }, 'major'],
    ['ropeWiresMost', 5, 'pieces', { rotationResistant: 0 }, 'sound'],
    ['ropeWiresMost', 6, 'pieces', { rotationResistant: 0 }, 'major'],
    ['ropeWiresMost', 2, 'pieces', { rotationResistant: 1 }, 'major'],
    ['ropeWiresMost', 2, 'pieces', {}, 'major'],
  ] as const)('%s: %p %s with %p is %s', (field, value, unit, card, state) => {
    const { moduleId, phase } = LAW[field];
    expect(readOn(field, { value, unit, card, moduleId, phase })?.state).toBe(state);
  });

  it('that is stricter than the law stays so', () => {
    const stricter = { liningLeast: toSi(8, 'mm') };
    expect(readOn('liningLeast', { value: 7, unit: 'mm' }, stricter)?.state).toBe('major');
  });
});

it('never asks a truck with hydraulic brakes for push-rod stroke, an air dryer or hissing hoses', () => {
  const hydraulic = catalogue.modules.filter(({ powered, airBrakes }) => powered && !airBrakes);
  expect(hydraulic.map(({ id }) => id)).toContain('straight-truck-hydraulic');
  for (const { checks } of hydraulic)
    for (const { id, title, criterion, symptoms } of checks) {
      const words = [title, criterion, ...symptoms.map((each) => each.words)].join(' ');
      const ofAir = /push-?rod stroke|air dryer|hiss|air tank|governor|build-up from/i.test(words);
      // A tyre hisses on any truck.
      expect({ id, ofAir: ofAir && !/tyre|valve/.test(id) }).toEqual({ id, ofAir: false });
    }
});
