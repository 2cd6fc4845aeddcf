import type { Module } from './types';

/** Fields whose text a driver reads. What a rule, a schedule or a unit is called is no text: it is the same in every language. */
const TEXTS: ReadonlySet<string> = new Set([
  'title',
  'partName',
  'criterion',
  'why',
  'ask',
  'words',
  'condition',
  'question',
  'because',
  'fixes',
  'ends',
  'takesAway',
  'say',
  'see',
  'otherwise',
  'stand',
]);
/** Quoted from a public schedule. */
const QUOTED: ReadonlySet<string> = new Set(['listed']);
/** A word for the program, not for the driver. */
const AS_BEFORE = 'as-before';

/**
 * Every text of a module under a key that stays the same while the text is rewritten: the ids on the way to it and its field, such
 * as `truck.cab.belt.symptoms.torn.words`. A language is such a list.
 */
export function textsOf(module: Module): Map<string, string> {
  const texts = new Map<string, string>();
  mapTexts(module, (key, text) => {
    texts.set(key, text);
    return text;
  });
  return texts;
}

/** A module in another language; a text that the language lacks stays as it is written. */
export function withTexts(module: Module, texts: ReadonlyMap<string, string>): Module {
  return mapTexts(module, (key, text) => texts.get(key) ?? text);
}

type Change = (key: string, text: string) => string;

function mapTexts(module: Module, change: Change): Module {
  const visit = (value: unknown, key: string, isText: boolean): unknown => {
    if (typeof value === 'string')
      return isText && value !== AS_BEFORE ? change(key, value) : value;
    if (Array.isArray(value))
      return value.map((each: unknown, index) => visit(each, nameOf(each, key, index), isText));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([field, each]) => [
        field,
        QUOTED.has(field) ? each : visit(each, `${key}.${field}`, TEXTS.has(field)),
      ]),
    );
  };
  return visit(module, module.id, false) as Module;
}

/** A part with an id is named by it; the ids of checks are their own in the whole catalogue. */
function nameOf(value: unknown, key: string, index: number): string {
  const id = (value as { readonly id?: unknown } | null)?.id;
  if (typeof id !== 'string') return `${key}.${index}`;
  return key.endsWith('.checks') && key.split('.').length === 2 ? id : `${key}.${id}`;
}
