import type { Phase } from '../catalogue';
import type { CheckInstance, Rig } from '../rig';
import { NEVER, type NeverNumber, type Violation } from './never';
import { readCaution, speaksToReach, type CautionedState } from './read-caution';
import { findStepsBreaches } from './read-steps';
import { BEFORE_IT, readUse } from './read-use';
import { readCheck, readsAsCarrying, type ReadCheck } from './read-check';
import { Standing, type Beginning, type UnitState } from './standing';

/** One thing of a walk as it would be done. Seconds since its beginning. */
export type JudgedAct = { readonly at: number; readonly seconds: number } & (
  | { readonly act: 'go'; readonly to: 'seat' | 'ground' | 'bay' | 'deck' | 'aboard' }
  /** Something is done to the vehicle, or to one unit of it. */
  | { readonly act: 'change'; readonly change: string; readonly unit?: string }
  | { readonly act: 'wait' }
  | { readonly act: 'check'; readonly key: string }
);

export interface JudgedWalk {
  readonly rig: Rig;
  readonly phase: Phase;
  readonly acts: readonly JudgedAct[];
  readonly beginning: Beginning;
  /** Seconds of a running engine from empty tanks until the air is up. */
  readonly buildUpSeconds: number;
  /** Faults that stop: key of the check, what was found, and when, seconds; before the walk where that is missing. */
  readonly failed?: readonly {
    readonly key: string;
    readonly words: string;
    readonly at?: number;
  }[];
  /** Checks that were made before. */
  readonly done?: ReadonlySet<string>;
  /** Checks that the driver has left out, with a reason: what is put away is put away all the same. */
  readonly leftOut?: ReadonlySet<string>;
  /** Nothing is said of how it ends: the acts are only a part of a walk. */
  readonly open?: boolean;
}

/**
 * Every breach of the fourteen rules in a walk, found by following it act by act with a state of its own and its own reading of
 * what each check does. Neither the planner nor what content says of its own needs is asked.
 */
export function judgePlan(walk: JudgedWalk): Violation[] {
  const follower = new Follower(walk);
  for (const [index, act] of walk.acts.entries()) follower.follow(act, index);
  if (!walk.open) follower.end();
  return follower.violations;
}

/** Equipment of a unit, by the first word of the ids of its checks; what secures a chair belongs to the lift. */
const machineOf = ({ check }: CheckInstance) =>
  check.id.split('.')[0].replace(/^securement$/, 'passenger-lift');

class Follower {
  readonly violations: Violation[] = [];
  private readonly instances: ReadonlyMap<string, CheckInstance>;
  private readonly read = new Map<string, ReadCheck>();
  private readonly madeAt = new Map<string, number>();
  private readonly stand: Standing;
  private atSeat: boolean;
  /** A check that wants the brake off was made since it was released. */
  private rolled = false;

  constructor(private readonly walk: JudgedWalk) {
    const { beginning, rig } = walk;
    this.instances = new Map(rig.instances.map((each) => [each.key, each]));
    for (const each of rig.instances) this.read.set(each.key, readCheck(each, rig));
    this.stand = new Standing(beginning, rig, walk.buildUpSeconds);
    this.atSeat = beginning.atSeat;
  }

  follow(act: JudgedAct, index: number): void {
    const { stand } = this;
    const until = act.at + act.seconds;
    switch (act.act) {
      case 'wait':
        stand.passTo(until);
        return;
      case 'go':
        if (act.to !== 'seat' && this.atSeat) this.leaveSeat(index);
        this.atSeat = act.to === 'seat';
        stand.passTo(until);
        return;
      case 'change':
        stand.passTo(until);
        for (const [rule, words] of stand.change(act.change, act.unit))
          this.breach(rule, act.change, words);
        if (act.change === 'release-brake') this.rolled = false;
        this.judgeFailedOut(act.change, act.unit, act.at);
        return;
      case 'check': {
        // Air that is wanted is there when the check begins.
        stand.passTo(act.at);
        const instance = this.instances.get(act.key);
        if (instance) this.check(instance, index, act.at);
        stand.passTo(until);
        if (instance) stand.made(instance, this.read.get(act.key), this.procedureOf(act.key));
        this.madeAt.set(act.key, index);
        return;
      }
    }
  }

  private breach(rule: NeverNumber, at: string, words: string): void {
    this.violations.push({ rule, at, words });
  }

  /** The driver gets down: what is the next check, and does it want the brake off with chocks in? */
  private leaveSeat(index: number): void {
    if (!this.stand.released) return;
    const next = this.walk.acts.slice(index).find((each) => each.act === 'check');
    const wanted = next?.act === 'check' && this.read.get(next.key)?.wantsReleased;
    if (!this.stand.chocks || !wanted)
      this.breach(1, 'the seat', 'the driver leaves the seat with the parking brake released');
  }

  private check(instance: CheckInstance, index: number, at: number): void {
    const { key } = instance;
    const read = this.read.get(key);
    const state = this.stand.units.get(instance.unit.id);
    if (!read || !state) return;
    this.judgeBrake(instance, read);
    if (read.reaches) this.judgeReach(instance, read, state);
    if (read.rolls) this.judgeRolling(instance);
    if (read.movedBy) this.judgeMovement(instance, read, state);
    if (read.beneath || read.reaches) this.judgeBeneath(instance, read, state);
    if (read.asEmpty) this.judgeEmpty(instance);
    if (
      read.wantsAir !== undefined &&
      this.hasAir(instance) &&
      this.stand.air < read.wantsAir - 0.5
    )
      this.breach(8, key, `it wants ${read.wantsAir} psi and has ${Math.round(this.stand.air)}`);
    if (read.cycle) this.judgeStowed(instance, index);
    this.judgeSteps(instance, read, state);
    if (read.cycle || read.movedBy) this.judgeHelper(instance, read);
    this.judgeCautions(instance, read, state);
    this.judgeFailed(instance, read, at);
    if (this.walk.phase === 'before-use') this.judgeUse(instance);
    if (read.cold && this.stand.engine)
      this.breach(3, key, 'it is looked at cold with the engine on');
  }

  private judgeUse(instance: CheckInstance): void {
    const { rig, done, leftOut } = this.walk;
    const part = this.partOfUse(instance);
    for (const other of rig.instances) {
      if (other.unit.id !== instance.unit.id || other.key === instance.key) continue;
      if (machineOf(other) !== machineOf(instance)) continue;
      if (this.madeAt.has(other.key) || done?.has(other.key)) continue;
      if (part === 'putting away' && leftOut?.has(other.key)) continue;
      if (BEFORE_IT[part].includes(this.partOfUse(other)))
        this.breach(14, instance.key, `it is made before ${other.check.title}`);
    }
  }

  private partOfUse(instance: CheckInstance) {
    const by = this.read.get(instance.key)?.movedBy;
    return readUse(instance, this.walk.rig, by !== undefined && by !== 'the hand');
  }

  private hasAir({ unit }: CheckInstance): boolean {
    return this.walk.rig.units.some((each) => each.unit.id === unit.id && each.module.airBrakes);
  }

  private judgeBrake({ key }: CheckInstance, read: ReadCheck): void {
    if (!this.stand.released) {
      if (read.wantsReleased && !read.rolls)
        this.breach(1, key, 'it is made with the brake set, and proves nothing');
      return;
    }
    if (read.wantsReleased) this.rolled = true;
    else
      this.breach(
        1,
        key,
        this.rolled
          ? 'the brake stays released after the block that wanted it'
          : 'the brake is released before anything wants it',
      );
  }

  private judgeReach({ key }: CheckInstance, read: ReadCheck, state: UnitState): void {
    const want = (holds: boolean, what: string) => {
      if (!holds) this.breach(3, key, `somebody reaches in with ${what}`);
    };
    want(!this.stand.engine, 'the engine on');
    want(!state.ownEngine, 'its own engine on');
    want(!state.machinery, 'its machinery running');
    want(this.stand.key === 'pocket', 'the key not in the pocket');
    want(this.stand.chocks, 'no chocks in');
    // A slack adjuster is pulled with the brake off: that is what the chocks are for.
    want(!this.stand.released || read.wantsReleased, 'the brake released');
  }

  private judgeRolling({ key, unit, check }: CheckInstance): void {
    const hooked = /\.hook-up$/.test(check.id) ? unit.id : undefined;
    const { stand } = this;
    const out: string[] = [];
    if (stand.powerTakeOff) out.push('the power take-off in');
    if (stand.chocks) out.push('chocks lying');
    if (stand.bayOpen) out.push('hood or cab open');
    out.push(...stand.standsOut().map(({ words }) => words));
    for (const [id, { blade }] of stand.units)
      // The blade that is being hooked up lies on the ground.
      if (blade !== 'up' && stand.hasBlade(id) && id !== hooked)
        out.push(`the blade of ${stand.numberOf(id)} down`);
    for (const words of out) this.breach(4, key, `it rolls with ${words}`);
    if (!this.stand.engine) this.breach(4, key, 'it rolls with the engine off');
    for (const [other, read] of this.read)
      if (read.decidesStopping && !this.madeAt.has(other) && !this.walk.done?.has(other))
        this.breach(4, key, `it rolls before ${other}`);
  }

  private judgeMovement({ key }: CheckInstance, read: ReadCheck, state: UnitState): void {
    const dead = (holds: boolean, what: string) => {
      if (!holds) this.breach(5, key, `it is tried without ${what}`);
    };
    switch (read.movedBy) {
      case 'key':
        dead(this.stand.key === 'on' || this.stand.engine, 'the key on');
        return;
      case 'engine':
        dead(this.stand.engine, 'the engine');
        return;
      case 'engine and power take-off':
        dead(this.stand.engine, 'the engine');
        // The check that engages it has it out at first.
        dead(
          this.stand.powerTakeOff || /\.lamp$/.test(key) || this.stepsEngage(key),
          'the power take-off',
        );
        return;
      case 'lift power':
        dead(state.power || this.stepsPower(key), 'the power of the lift');
        return;
      case 'an engine of its own':
        dead(
          state.ownEngine || /\.power\.run/.test(key) || this.stepsStart(key),
          'the engine that drives it',
        );
        return;
      default:
    }
  }

  /** Its own steps switch the power on, before anything moves. */
  private stepsPower(key: string): boolean {
    const procedure = this.procedureOf(key);
    return procedure?.steps.some(({ say }) => /\bswitch on\b/i.test(say)) ?? false;
  }

  /** What is rolled up to or led off changes how it stands from step to step: each step is held to what the ones before have said. */
  private judgeSteps({ key, check }: CheckInstance, read: ReadCheck, state: UnitState): void {
    const steps = this.procedureOf(key)?.steps ?? [];
    const ownEngine = /^(?:led-)?digger\./.test(check.id);
    if (steps.length === 0 || !(read.rolls || ownEngine || /^tilt-trailer\.unhook/.test(check.id)))
      return;
    const begin = {
      engine: ownEngine ? state.ownEngine : this.stand.engine,
      powerTakeOff: this.stand.powerTakeOff,
      chocks: this.stand.chocks,
    };
    for (const [rule, words] of findStepsBreaches(steps, begin)) this.breach(rule, key, words);
  }

  /** The truck is driven up first; its own steps engage the power take-off, before they move anything by it. */
  private stepsEngage(key: string): boolean {
    const steps = this.procedureOf(key)?.steps ?? [];
    const engaged = steps.findIndex(({ say }) => /\bpower take-off in\b/i.test(say));
    const moving = steps.findIndex(({ say }) => /\b(tilt|raise|lower|slide)\b/i.test(say));
    return engaged >= 0 && engaged < moving;
  }

  /** Its own steps start its engine, once everything that hands do is done. */
  private stepsStart(key: string): boolean {
    return this.procedureOf(key)?.steps.some(({ say }) => /\bstart\b/i.test(say)) ?? false;
  }

  private procedureOf(key: string) {
    const instance = this.instances.get(key);
    const module = this.walk.rig.units.find(({ unit }) => unit.id === instance?.unit.id)?.module;
    return module?.procedures.find(({ check }) => check === instance?.check.id);
  }

  private judgeBeneath({ key, check }: CheckInstance, read: ReadCheck, state: UnitState): void {
    const kind = check.id.split('.')[0];
    if (state.body === 'raised') this.breach(6, key, 'the body is up and not propped');
    if (state.boom === 'raised' && read.beneath) this.breach(6, key, 'the boom is up');
    if (['dump', 'combi'].includes(kind) && /hinge|hoist.*tailgate|underside/i.test(check.title))
      if (check.method === 'grease' || check.method === 'clean')
        if (state.body !== 'propped')
          this.breach(6, key, 'it is done beneath a body that is not propped');
    if (['plow', 'wing', 'underbody'].includes(kind) && read.reaches && state.blade === 'up')
      this.breach(6, key, 'hands are at a blade that hangs');
  }

  /** Whoever carries something is not empty. */
  private judgeEmpty({ key, unit }: CheckInstance): void {
    const carried = this.walk.rig.units.find(({ hostId, module }) => {
      if (hostId !== unit.id) return false;
      return ['in-body', 'deck'].includes(module.mountsOn?.sort ?? '');
    });
    if (carried) this.breach(7, key, `${carried.unit.number} is in or on it`);
  }

  /** A look at what is stowed comes before the cycle that undoes it; after it, it is looked at again. */
  private judgeStowed({ key, unit }: CheckInstance, index: number): void {
    for (const [other, read] of this.read) {
      if (!read.looksStowed || this.instances.get(other)?.unit.id !== unit.id) continue;
      // A pump that runs undoes nothing of the ladder on the same truck.
      if (kindOf(other) !== kindOf(key)) continue;
      const later = this.walk.acts.some(
        (act, at) => at > index && act.act === 'check' && act.key === other,
      );
      if (later && !this.madeAt.has(other))
        this.breach(9, other, `it is looked at only after ${key} has undone it`);
    }
    const steps = this.procedureOf(key)?.steps ?? [];
    const last = steps
      .slice(-3)
      .map(({ say, see = '' }) => `${say} ${see}`)
      .join(' ');
    if (steps.length > 0 && !STANDS_AGAIN.test(last))
      this.breach(9, key, 'nobody looks at what the cycle has undone');
  }

  private judgeHelper({ key, check }: CheckInstance, read: ReadCheck): void {
    if (check.helper !== 'needed' || read.movedBy === 'the hand') return;
    const steps = this.procedureOf(key)?.steps ?? [];
    const said = [
      check.title,
      check.criterion,
      ...check.cautions.map(({ words }) => words),
      ...(this.procedureOf(key)?.cautions ?? []).map(({ words }) => words),
      ...steps.map(({ say, see = '' }) => `${say} ${see}`),
    ].join(' ');
    if (!/\b(clear|aside|away|outside|nobody|distance|stands? back|never in front)\b/i.test(said))
      this.breach(12, key, 'nothing keeps the helper out of what moves');
    const moving = steps.findIndex(({ say }) =>
      /\b(raise|lower|on|run|tilt|turn|swing)\b/i.test(say),
    );
    for (const [at, { who, say }] of steps.entries())
      if (who === 'helper' && moving >= 0 && at > moving)
        if (!/\b(outside|clear|away|distance|looks|hand|back|from the side)\b/i.test(say))
          this.breach(12, key, `the helper is sent in while it moves: ${say}`);
  }

  private judgeCautions(
    { key, check, zoneKey }: CheckInstance,
    read: ReadCheck,
    state: UnitState,
  ): void {
    const zone = this.walk.rig.zones.find((each) => each.key === zoneKey);
    for (const { words } of [...check.cautions, ...(zone?.cautions ?? [])]) {
      if (speaksToReach(words) && !read.reaches) continue;
      for (const asked of readCaution(words))
        if (!this.holds(asked, state))
          this.breach(13, key, `“${words}” is printed, and ${asked} is not so`);
    }
  }

  private holds(asked: CautionedState, state: UnitState): boolean {
    switch (asked) {
      case 'engine off':
        return !this.stand.engine;
      case 'engine cold':
        return !this.stand.engine;
      case 'key in the pocket':
        return this.stand.key === 'pocket';
      case 'chocks in':
        return this.stand.chocks;
      case 'power take-off out':
        return !this.stand.powerTakeOff;
      case 'propped':
        return state.body !== 'raised';
      case 'blade on the ground':
        return state.blade === 'ground';
    }
  }

  /**
   * A part that carries, moves or guards has failed. What a vehicle rolls, stops or steers with keeps it from rolling; what belongs to
   * its equipment keeps the equipment of that unit still.
   */
  private judgeFailed(instance: CheckInstance, read: ReadCheck, at: number): void {
    const { key, unit } = instance;
    for (const fault of this.walk.failed ?? []) {
      if (fault.key === key || (fault.at !== undefined && fault.at > at)) continue;
      if (!readsAsCarrying(fault.words) || looseTackle(fault.key)) continue;
      const moves = ofRunningGear(fault.key)
        ? read.rolls && decidesRolling(fault.key)
        : read.movedBy !== undefined &&
          read.movedBy !== 'the hand' &&
          fault.key.startsWith(`${unit.id}/`) &&
          kindOf(fault.key) === kindOf(key);
      if (moves) this.breach(10, key, `it moves though ${fault.key} has failed: ${fault.words}`);
    }
  }

  /** Nor is it raised, opened or set out to be looked at. */
  private judgeFailedOut(change: string, unit: string | undefined, at: number): void {
    const kinds = BRINGS_OUT[change] ?? [];
    for (const fault of this.walk.failed ?? []) {
      if ((fault.at !== undefined && fault.at > at) || looseTackle(fault.key)) continue;
      if (!readsAsCarrying(fault.words)) continue;
      if (unit !== undefined && !fault.key.startsWith(`${unit}/`)) continue;
      if (ofRunningGear(fault.key) || !kinds.includes(kindOf(fault.key) ?? '')) continue;
      this.breach(10, change, `it is brought out though ${fault.key} has failed: ${fault.words}`);
    }
  }

  end(): void {
    for (const { end, words } of this.stand.leftAtEnd(this.walk.phase))
      this.breach(11, 'the end', `it does not end ${end}: ${words}`);
  }
}

/** Words of whoever leaves a machine as it was: away and held, or standing still. */
const STANDS_AGAIN =
  /\b(stow\w*|latch\w*|lock\w*|pin\w*|rests?|cradle\w*|fold\w*|shut|bed|down|stop both)\b/i;

/** What is brought out by each change, by the first word of the ids of its checks. */
const BRINGS_OUT: Readonly<Record<string, readonly string[]>> = {
  'body-up': ['dump', 'combi', 'tilt-trailer'],
  'boom-up': ['loader-crane', 'aerial', 'mobile-crane'],
  outriggers: ['loader-crane', 'aerial', 'mobile-crane'],
  'platform-down': ['rail-lift', 'column-lift', 'passenger-lift'],
};

/** Of what equipment a check is: the first word of its id. */
const kindOf = (key: string) => key.split('/')[1]?.split('.')[0];

/** A vehicle's own parts, which every vehicle has whatever it carries: the second word of the id. */
const ofRunningGear = (key: string) =>
  /^[^/]+\/[^./]+\.(steering|wheel|tyre|suspension|brake|driveline|frame|fuel|exhaust|engine|glass|body|cab|lamp|mirror|week|month)\b/.test(
    key,
  ) || /\.(tailpipe|compartments)\b/.test(key);

/** Loose tackle lies in a box: it is put aside, and nothing that is fixed to the machine hangs on it. */
const looseTackle = (key: string) => /\.(shackles|slings)\b/.test(key);

/** Of those, what it stops, steers and stands on. */
const decidesRolling = (key: string) =>
  /\.(steering|wheel|suspension|brake|frame|nut-marks|stroke)\b/.test(key);

/** The words of a violation with its rule, for a log or a test. */
export function inWords({ rule, at, words }: Violation): string {
  return `${rule}. ${NEVER[rule]}: ${at}: ${words}`;
}
