import type { Phase, Procedure } from '../catalogue';
import type { CheckInstance, Rig } from '../rig';
import type { NeverNumber } from './never';
import type { ReadCheck } from './read-check';

/** How the vehicle stands when the walk, or what is left of it, begins. */
export interface Beginning {
  readonly engine: boolean;
  readonly key: 'pocket' | 'in' | 'on';
  readonly brakeReleased: boolean;
  readonly chocks: boolean;
  /** psi in the tanks. */
  readonly air: number;
  readonly bayOpen: boolean;
  readonly powerTakeOff: boolean;
  readonly atSeat: boolean;
  /** Per unit: what is out, up or running. Missing where the unit stands parked. */
  readonly units: ReadonlyMap<string, Partial<UnitState>>;
}

export interface UnitState {
  body: 'down' | 'raised' | 'propped';
  platform: 'stowed' | 'open';
  outriggers: 'in' | 'set';
  boom: 'cradled' | 'raised';
  blade: 'up' | 'ground';
  tailgate: 'latched' | 'released';
  door: 'shut' | 'open';
  /** Conveyor, spinner, pump. */
  machinery: boolean;
  power: boolean;
  ownEngine: boolean;
}

/** psi at which the air is up, and at which the compressor stops. */
const UP = 100;
const FULL = 120;
/** Least pressure at which a spring brake lets go, less the error of a gauge, psi. */
const LETS_GO = 59.5;
const LEAVES: ReadonlySet<Phase> = new Set([
  'pre-trip',
  'under-way',
  'before-use',
  'hook-up',
  'jump-start',
]);

/** Parked overnight: engine off, key away, brake set, everything stowed, blades on the ground. */
export function parked(rig: Rig, phase: Phase): Beginning {
  const driven = phase === 'post-trip' || phase === 'under-way';
  return {
    engine: false,
    key: driven ? 'in' : 'pocket',
    brakeReleased: false,
    chocks: false,
    air: driven || !rig.units.some(({ module }) => module.airBrakes) ? FULL : 0,
    bayOpen: false,
    powerTakeOff: false,
    atSeat: false,
    units: new Map(
      rig.units.map(({ unit }) => [unit.id, { blade: driven ? 'up' : 'ground' } as const]),
    ),
  };
}

/** A rule that something done to the vehicle breaks by itself. */
export type Breach = readonly [rule: NeverNumber, words: string];

/** How the vehicle stands at each moment of a walk, followed by the judge's own knowledge of what each act does. */
export class Standing {
  engine: boolean;
  key: Beginning['key'];
  released: boolean;
  chocks: boolean;
  /** psi in the tanks. */
  air: number;
  bayOpen: boolean;
  powerTakeOff: boolean;
  readonly units = new Map<string, UnitState>();
  private time = 0;

  constructor(
    beginning: Beginning,
    private readonly rig: Rig,
    private readonly buildUpSeconds: number,
  ) {
    this.engine = beginning.engine;
    this.key = beginning.key;
    this.released = beginning.brakeReleased;
    this.chocks = beginning.chocks;
    this.air = beginning.air;
    this.bayOpen = beginning.bayOpen;
    this.powerTakeOff = beginning.powerTakeOff;
    for (const { unit } of rig.units)
      this.units.set(unit.id, {
        body: 'down',
        platform: 'stowed',
        outriggers: 'in',
        boom: 'cradled',
        blade: 'up',
        tailgate: 'latched',
        door: 'shut',
        machinery: false,
        power: false,
        ownEngine: false,
        ...beginning.units.get(unit.id),
      });
  }

  /** Time passes: with the engine on the air rises. Seconds since the beginning. */
  passTo(until: number): void {
    if (this.engine)
      this.air = Math.min(
        FULL,
        this.air + ((until - this.time) * UP) / Math.max(1, this.buildUpSeconds),
      );
    this.time = until;
  }

  numberOf(unitId: string): string {
    return this.rig.units.find(({ unit }) => unit.id === unitId)?.unit.number ?? unitId;
  }

  hasBlade(unitId: string): boolean {
    return this.rig.units.some(
      ({ unit, module }) =>
        unit.id === unitId && module.checks.some(({ id }) => /^(plow|wing|underbody)\./.test(id)),
    );
  }

  /** Whatever is not in, down, shut and latched, of every unit. */
  standsOut(): { readonly unitId: string; readonly words: string }[] {
    return [...this.units].flatMap(([unitId, state]) => {
      const number = this.numberOf(unitId);
      const out = (wrong: boolean, words: string) => (wrong ? [{ unitId, words }] : []);
      return [
        ...out(state.body !== 'down', `the body of ${number} up`),
        ...out(state.tailgate !== 'latched', `the tailgate of ${number} not latched`),
        ...out(state.platform !== 'stowed', `the platform of ${number} out`),
        ...out(state.outriggers !== 'in', `outriggers of ${number} out`),
        ...out(state.boom !== 'cradled', `the boom of ${number} up`),
        ...out(state.door !== 'shut', `a door of ${number} open`),
        ...out(state.machinery, `machinery of ${number} running`),
      ];
    });
  }

  /** What is not as a walk of this phase may end. */
  leftAtEnd(phase: Phase): { readonly end: string; readonly words: string }[] {
    const leaves = LEAVES.has(phase);
    const end = leaves ? 'ready to leave' : 'parked and secured';
    const left = (wrong: boolean, words: string) => (wrong ? [{ end, words }] : []);
    return [
      ...left(this.released, 'the brake is released'),
      ...left(this.bayOpen, 'hood or cab is open'),
      ...left(this.powerTakeOff, 'the power take-off is in'),
      ...left(leaves && this.chocks, 'chocks are left in'),
      ...left(!leaves && this.engine, 'the engine runs'),
      ...left(!leaves && this.key !== 'pocket', 'the key is left in'),
      ...this.standsOut().map(({ words }) => ({ end, words })),
      ...[...this.units].flatMap(([unitId, state]) => [
        ...left(state.power, `the lift of ${this.numberOf(unitId)} has its power on`),
        ...left(state.ownEngine, `the engine of ${this.numberOf(unitId)} runs`),
        ...left(
          this.hasBlade(unitId) && state.blade !== (leaves ? 'up' : 'ground'),
          `the blade of ${this.numberOf(unitId)} ${leaves ? 'is down' : 'hangs'}`,
        ),
      ]),
    ];
  }

  /**
   * Something is done to the vehicle. A unit that is not named is the only one that has such a thing.
   * @returns the rules that this breaks by itself
   */
  change(name: string, of: string | undefined): Breach[] {
    const named = of === undefined ? undefined : this.units.get(of);
    const states = named ? [named] : [...this.units.values()];
    const all = (set: (state: UnitState) => void) => states.forEach(set);
    const breaches: Breach[] = [];
    const forbid = (wrong: boolean, rule: NeverNumber, words: string) => {
      if (wrong) breaches.push([rule, words]);
    };
    // What hydraulics move is moved by the engine through the power take-off, or by an engine of its own.
    const hydraulics =
      (this.engine && this.powerTakeOff) || states.some(({ ownEngine }) => ownEngine);
    switch (name) {
      case 'start':
        forbid(this.released, 1, 'the engine is started with the brake released');
        this.engine = true;
        this.key = 'on';
        break;
      case 'shut-down':
        this.engine = false;
        this.powerTakeOff = false;
        this.key = 'in';
        break;
      case 'key-on':
        this.key = 'on';
        break;
      case 'key-in':
        this.key = 'in';
        break;
      case 'key-off':
        this.key = 'pocket';
        break;
      case 'set-brake':
        this.released = false;
        break;
      case 'release-brake':
        forbid(
          this.rig.units[0]?.module.airBrakes === true && this.air < LETS_GO,
          8,
          `the brake is released with ${Math.round(this.air)} psi`,
        );
        this.released = true;
        break;
      case 'chocks-in':
      case 'chocks-out':
        forbid(this.released, 2, 'chocks are handled with the brake released');
        this.chocks = name === 'chocks-in';
        break;
      case 'cab-tilted':
        forbid(this.engine, 6, 'the cab is tilted with the engine on');
        forbid(!this.chocks, 6, 'the cab is tilted with no chocks in');
        this.bayOpen = true;
        break;
      case 'hood-open':
        this.bayOpen = true;
        break;
      case 'hood-closed':
      case 'cab-lowered':
        this.bayOpen = false;
        break;
      case 'power-take-off':
        forbid(!this.engine, 5, 'it is engaged with the engine off');
        forbid(this.released, 4, 'it is engaged with the brake released');
        this.powerTakeOff = true;
        break;
      case 'power-take-off-off':
        this.powerTakeOff = false;
        break;
      case 'body-up':
        forbid(!hydraulics, 5, 'a body rises without engine and power take-off');
        all((state) => (state.body = 'raised'));
        break;
      case 'prop':
        // A body does not rise by being propped.
        forbid(
          states.every(({ body }) => body === 'down'),
          5,
          'a body is propped that nothing has raised',
        );
        all((state) => (state.body = 'propped'));
        break;
      case 'prop-away':
        all((state) => (state.body = 'raised'));
        break;
      case 'body-down':
        all((state) => (state.body = 'down'));
        break;
      case 'tailgate-released':
        all((state) => (state.tailgate = 'released'));
        break;
      case 'tailgate-latched':
        all((state) => (state.tailgate = 'latched'));
        break;
      case 'machinery-on':
        forbid(
          !this.engine && !hydraulics,
          5,
          'machinery is switched on with nothing that drives it',
        );
        all((state) => (state.machinery = true));
        break;
      case 'machinery-off':
        all((state) => (state.machinery = false));
        break;
      case 'platform-down':
        all((state) => (state.platform = 'open'));
        break;
      case 'platform-up':
        all((state) => (state.platform = 'stowed'));
        break;
      case 'outriggers':
        forbid(!hydraulics, 5, 'outriggers go out without power');
        all((state) => (state.outriggers = 'set'));
        break;
      case 'outriggers-in':
        // Who finds them in has moved nothing.
        forbid(
          !hydraulics && states.some(({ outriggers }) => outriggers === 'set'),
          5,
          'outriggers come in without power',
        );
        forbid(
          states.some(({ boom, outriggers }) => boom === 'raised' && outriggers === 'set'),
          6,
          'outriggers come in beneath a boom that is up',
        );
        all((state) => (state.outriggers = 'in'));
        break;
      case 'boom-up':
        forbid(!hydraulics, 5, 'a boom rises without power');
        all((state) => (state.boom = 'raised'));
        break;
      case 'boom-down':
        forbid(
          !hydraulics && states.some(({ boom }) => boom === 'raised'),
          5,
          'a boom comes down without power',
        );
        all((state) => (state.boom = 'cradled'));
        break;
      case 'blade-up':
        forbid(!this.engine, 5, 'a blade rises with the engine off');
        all((state) => (state.blade = 'up'));
        break;
      case 'blade-down':
        all((state) => (state.blade = 'ground'));
        break;
      case 'lift-door-open':
        all((state) => (state.door = 'open'));
        break;
      case 'lift-door-shut':
        all((state) => (state.door = 'shut'));
        break;
      case 'lift-power-on':
        all((state) => (state.power = true));
        break;
      case 'lift-power-off':
        all((state) => (state.power = false));
        break;
      case 'own-engine-start':
        all((state) => (state.ownEngine = true));
        break;
      case 'own-engine-off':
        all((state) => (state.ownEngine = false));
        break;
      default:
      // Lamps, gears and the like bear on no rule.
    }
    return breaches;
  }

  /** What the check itself has done to the vehicle, by its words. */
  made(
    { check: { title }, unit }: CheckInstance,
    read: ReadCheck | undefined,
    procedure: Procedure | undefined,
  ): void {
    const state = this.units.get(unit.id);
    if (/\bset the brake\b/i.test(title)) this.released = false;
    if (/\bchock the wheels\b/i.test(title)) this.chocks = true;
    if (/\bpocket the keys?\b/i.test(title)) {
      this.engine = false;
      this.powerTakeOff = false;
      this.key = 'pocket';
    }
    if (
      /^start in neutral\b/i.test(title) ||
      /^hold the pedal and start\b/i.test(title) ||
      /^start it from the battery\b/i.test(title)
    ) {
      this.engine = true;
      this.key = 'on';
    }
    if (/^engage it\b/i.test(title)) this.powerTakeOff = true;
    if (read?.leavesAir !== undefined) this.air = Math.min(this.air, read.leavesAir);
    if (!state) return;
    const steps = procedure?.steps ?? [];
    const last = steps
      .slice(-2)
      .map(({ say }) => say)
      .join(' ');
    if (/\braise it and lock it\b/i.test(last) || /\bfold it in and lock it\b/i.test(last))
      state.blade = 'up';
    if (/, open the lift$/i.test(title)) state.platform = 'open';
    if (/\bfold the lift\b/i.test(title)) state.platform = 'stowed';
    if (/^set .+ up$/i.test(title)) state.outriggers = 'set';
    if (/^stow .+ for the road$/i.test(title)) state.outriggers = 'in';
    if (/\bfloat: lower it\b/i.test(title)) state.blade = 'ground';
    if (/\braise the blade\b/i.test(title)) state.blade = 'up';
    // A machine that is led off or driven on is started, or stopped, in the steps themselves.
    if (/\boff the trailer\b|^drive it off$/i.test(title)) state.ownEngine = true;
    if (/^onto the trailer\b/i.test(title)) state.ownEngine = false;
    if (/\bswitch off\b/i.test(last)) state.power = false;
    if (/\bpower take-off out\b/i.test(last)) this.powerTakeOff = false;
    if (/\bstart the auxiliary engine\b|^start (?:the|its) (?:upper|own) engine\b/i.test(title))
      state.ownEngine = true;
  }
}
