import type { Kind } from '../quantity';

/** A quantity inside of a message: said in the reader's own units. SI. */
export interface Amount {
  readonly si: number;
  readonly kind: Kind;
}

/** One stop that comes before another, and the rule that puts it there. */
export interface Before {
  readonly first: string;
  readonly then: string;
  readonly rule: string;
}

/** A place of a rated chart. */
interface ChartPlace {
  readonly unit: string;
  readonly chart: string;
  readonly radius: Amount;
  readonly length: Amount;
}

/** Everything that the core has to say to a person, by its code, with what it is about. `unit` and `other` are numbers of units. */
export interface Sayings {
  'rig-empty': object;
  'unit-twice': object;
  'front-cannot-drive': { readonly unit: string };
  'driven-not-towed': { readonly unit: string };
  'nothing-to-couple-to': { readonly unit: string };
  'coupling-differs': { readonly unit: string; readonly hook: string };
  'no-free-mount': { readonly unit: string; readonly part: string };
  'lacks-supplies': {
    readonly unit: string;
    readonly other: string;
    readonly supplies: readonly string[];
  };
  'lacks-own-supplies': { readonly unit: string; readonly supplies: readonly string[] };
  'no-module': { readonly unit: string };
  'fitted-is-no-vehicle': { readonly unit: string; readonly part: string };
  'has-own-number': { readonly unit: string; readonly part: string };
  'no-place-for': { readonly unit: string; readonly part: string; readonly chassis: string };
  'coupling-rating': { readonly unit: string; readonly rated: Amount; readonly pulled: Amount };
  'plate-rating': {
    readonly unit: string;
    readonly other: string;
    readonly rated: Amount;
    readonly load: Amount;
  };
  voltage: {
    readonly unit: string;
    readonly other: string;
    readonly gives: number;
    readonly wants: number;
  };
  pins: {
    readonly unit: string;
    readonly other: string;
    readonly socket: number;
    readonly plug: number;
  };
  height: {
    readonly unit: string;
    readonly other: string;
    readonly eye: Amount;
    readonly hook: Amount;
  };
  overloaded: {
    readonly unit: string;
    readonly rated: Amount;
    readonly aboard: readonly string[];
    readonly full: Amount;
  };
  'card-no-axles': { readonly unit: string };
  'card-axle-count': { readonly unit: string; readonly named: number; readonly most: number };
  'card-axle-place': { readonly unit: string; readonly axle: number };
  'card-axle-steered': { readonly unit: string };
  'card-tyres': { readonly unit: string; readonly axle: number };
  'card-duals': { readonly unit: string; readonly axle: number };
  'card-figure': { readonly unit: string; readonly field: string; readonly value: Amount };
  'card-masses': { readonly unit: string; readonly empty: Amount; readonly gross: Amount };
  'card-twice': { readonly unit: string; readonly item: string };
  'card-tank-place': { readonly unit: string; readonly tank: string };
  'card-date': { readonly unit: string; readonly item: string; readonly until: string };
  'card-chart-empty': { readonly unit: string; readonly chart: string };
  'card-chart-order': { readonly unit: string; readonly chart: string };
  'card-chart-hole': ChartPlace;
  'card-chart-rises': ChartPlace;
  'needs-contradict': { readonly check: string; readonly one: string; readonly other: string };
  'no-chain-of-changes': { readonly stop: string };
  'rules-contradict': { readonly ring: readonly Before[] };
}

export type MessageCode = keyof Sayings;

export type Message<Code extends MessageCode = MessageCode> = {
  readonly [Each in Code]: { readonly code: Each } & Sayings[Each];
}[Code];
