/** What can be wrong with content, a depot's changes to it, or a policy that somebody brings: by its code, with what it is about. */
export interface FaultSayings {
  /** A field is not of the shape that the schema wants; the schema says it in its own words. */
  shape: { readonly words: string };
  'not-an-object': { readonly what: 'policy' | 'catalogue' };
  missing: object;
  'not-this-format': { readonly format: string };
  'not-this-version': { readonly version: number };
  'other-catalogue': { readonly from: string; readonly here: string };
  twice: { readonly what: Thing; readonly id: string };
  'no-such': { readonly what: Thing; readonly id: string };
  /** A check that belongs to another module. */
  'of-other-module': { readonly check: string; readonly module: string };
  'has-no': { readonly owner: string; readonly what: Thing; readonly id: string };
  'in-no-zone': { readonly place: string };
  'no-mount': object;
  'band-without-symptom': { readonly symptom: string };
  'at-several-places': { readonly item: string; readonly check: string };
  'off-twice': { readonly check: string };
  'off-by-rule': { readonly check: string; readonly source: string };
  'off-stops': { readonly check: string };
  'own-id': { readonly check: string; readonly begins: string };
  'no-limit-of-side': { readonly check: string; readonly side: 'below' | 'above' };
  'other-kind': { readonly check: string; readonly unit: string };
  'never-measured-at': { readonly check: string; readonly value: number; readonly unit: string };
  'looser-than-law': { readonly value?: string; readonly law: string };

  // What a movement needs.
  'needs-unknown': { readonly words: string };
  'movement-unsaid': object;
  unsecured: object;
  'power-unsaid': { readonly by: Power };
  'roll-not-stowed': object;
  'roll-brake-unsaid': object;
  'held-unsaid': { readonly by: 'brake' | 'chocks' };
  'zone-unsaid': object;
  'interlock-without-power': object;
  'words-name-state': { readonly state: string };
  'first-starts': { readonly checks: readonly string[] };
  'before-start-runs': object;
  'before-roll-rolls': object;
  'before-movement-of-nothing': object;
  'part-of-nothing': { readonly part: string };
  'air-rises': object;
  'moved-by-two': { readonly part: string; readonly one: string; readonly other: string };

  // Where a file asks less than what ships.
  'check-missing': { readonly check: string };
  'not-as-it-ships': { readonly field: string };
  'entry-not-as-it-ships': { readonly field: string; readonly id: string };
  'phases-gone': { readonly phases: readonly string[] };
  'asked-only-when': { readonly when: readonly string[] };
  'not-at-every': { readonly each: string };
  'reading-optional': object;
  'needs-gone': { readonly needs: readonly string[] };
  'caution-gone': object;
  'other-rule': { readonly source: string };
  'symptom-missing': { readonly symptom: string };
  'weighs-less': { readonly symptom: string; readonly harm: string };
  'takes-less': { readonly symptom: string; readonly takes: readonly string[] };
  'limit-gone': { readonly symptom: string };

  // A policy.
  'name-of-shipped-policy': { readonly id: string };
  'repair-is-no-note': object;
  'no-deadline': { readonly grade: string };
}

/** What stands twice, is missing, or belongs to something. */
export type Thing =
  | 'module'
  | 'check'
  | 'service'
  | 'place'
  | 'zone'
  | 'sort'
  | 'symptom'
  | 'field'
  | 'step'
  | 'item'
  | 'rule';

export type Power = 'engine' | 'power-take-off' | 'key' | 'air' | 'lift' | 'own-engine';

export type FaultCode = keyof FaultSayings;

/** A fault with the place where it stands. */
export type Fault = {
  readonly [Code in FaultCode]: {
    readonly code: Code;
    readonly at?: string;
  } & FaultSayings[Code];
}[FaultCode];

/** The same fault, seen from what its place is a part of. */
export const within =
  (place: string) =>
  <F extends Fault>(fault: F): F => ({
    ...fault,
    at: fault.at === undefined ? place : `${place}: ${fault.at}`,
  });
