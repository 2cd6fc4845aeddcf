import type { Report } from '../report';
import { findAdditionFaults } from './additions';
import type { Change } from './change';
import { endOf, isHeadGood } from './head';
import { allDigests, hashOf, isSignatureGood, type ReportFile, type Seal } from './seal';

export type Verification =
  | {
      readonly outcome: 'intact';
      readonly report: Report;
      readonly seal: Seal;
      readonly notes: readonly Note[];
    }
  | { readonly outcome: 'changed'; readonly changes: readonly Change[] }
  /** Nothing was changed, but the key that signed is none of the known ones. */
  | { readonly outcome: 'unknown-key'; readonly key: string }
  | { readonly outcome: 'unreadable'; readonly where: string };

export type Note = 'spacing-differs' | 'key-not-compared' | 'end-not-signed';

/**
 * Checks an exported report offline.
 * @param text the file as it lies there
 * @param knownKeys hex public keys of the depot; empty when there is none at hand, which is noted
 */
export function verifyReport(text: string, knownKeys: readonly string[]): Verification {
  let file: ReportFile;
  try {
    file = JSON.parse(text) as ReportFile;
  } catch (error) {
    return { outcome: 'unreadable', where: error instanceof Error ? error.message : '' };
  }
  if (!isFileShaped(file))
    return { outcome: 'unreadable', where: 'There is no report with a seal in this file.' };
  const changes = [
    ...findOuterChanges(file),
    ...findChanges(file.report, file.seal, 'report', 'seal'),
    ...file.additions.flatMap((each, index) => [
      ...findChanges(
        each.addition,
        each.seal,
        `additions[${index}].addition`,
        `additions[${index}].seal`,
      ),
      ...findForeignAddition(file, index),
    ]),
  ];
  // The row of the additions is looked at once each of them is known to be whole.
  if (changes.length === 0) changes.push(...findAdditionFaults(file), ...findHeadFaults(file));
  if (changes.length === 0 && namesIn(text) !== namesOf(file))
    changes.push({ path: 'file', words: 'a name stands twice in one object' });
  if (changes.length > 0) return { outcome: 'changed', changes };
  const keys = [file.seal.key, ...file.additions.map((each) => each.seal.key)];
  if (file.head) keys.push(file.head.key);
  const foreign = keys.find((key) => knownKeys.length > 0 && !knownKeys.includes(key));
  if (foreign !== undefined) return { outcome: 'unknown-key', key: foreign };
  const notes: Note[] = [];
  if (knownKeys.length === 0) notes.push('key-not-compared');
  if (!file.head) notes.push('end-not-signed');
  if (text.trimEnd() !== toFileText(file).trimEnd()) notes.push('spacing-differs');
  return { outcome: 'intact', report: file.report, seal: file.seal, notes };
}

/** The text of an exported file. */
export function toFileText(file: ReportFile): string {
  return `${JSON.stringify(file, null, 1)}\n`;
}

/** How many names of fields stand in a JSON text. Readers disagree about which of two equal ones counts. */
function namesIn(text: string): number {
  let count = 0;
  for (const [, , colon] of text.matchAll(/("(?:[^"\\]|\\.)*")(\s*:)?/g)) if (colon) count += 1;
  return count;
}

function namesOf(value: unknown): number {
  if (Array.isArray(value)) return value.reduce<number>((sum, each) => sum + namesOf(each), 0);
  if (!isObject(value)) return 0;
  return Object.values(value).reduce<number>((sum, each) => sum + 1 + namesOf(each), 0);
}

function isFileShaped(file: unknown): file is ReportFile {
  const { report, seal, additions, head } = (file ?? {}) as Partial<ReportFile>;
  const isSeal = (value: unknown) =>
    isObject(value) &&
    isObject((value as Partial<Seal>).parts) &&
    Array.isArray((value as Partial<Seal>).chain);
  return (
    isObject(report) &&
    isSeal(seal) &&
    Array.isArray(additions) &&
    (head === undefined || isObject(head)) &&
    additions.every((each) => isObject(each?.addition) && isSeal(each.seal))
  );
}

function isObject(value: unknown): value is object {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function findOuterChanges(file: ReportFile): Change[] {
  return Object.keys(file)
    .filter((name) => !['report', 'seal', 'additions', 'head'].includes(name))
    .map((name) => ({ path: name, words: 'does not belong to a report file' }));
}

/** What was taken off the end of the additions, or put on without the one who seals. */
function findHeadFaults(file: ReportFile): Change[] {
  const { head } = file;
  if (!head) return [];
  const { of, count, last } = endOf(file);
  if (!isHeadGood(head)) return [{ path: 'head.signature', words: 'the signature of the head' }];
  if (head.of !== of) return [{ path: 'head', words: 'belongs to another report' }];
  if (head.count === count && head.last === last) return [];
  return [
    {
      path: head.count > count ? `additions[${count}]` : 'head',
      words:
        head.count > count
          ? `was removed: there were ${head.count} additions on ${head.at}`
          : 'does not fit the additions of this file',
    },
  ];
}

function findForeignAddition(file: ReportFile, index: number): Change[] {
  const { addition } = file.additions[index];
  if (addition.report === file.report.id) return [];
  return [{ path: `additions[${index}].addition`, words: 'belongs to another report' }];
}

/**
 * The signature covers the seal as a whole, and the seal holds a digest of every part of
 * the body and of itself. What no longer fits its digest was changed; where all fit, it
 * was the hash, a constant or the signature.
 */
function findChanges(body: object, seal: Seal, bodyPath: string, sealPath: string): Change[] {
  const hashFits = hashOf(body) === seal.hash;
  if (hashFits && isSignatureGood(seal)) return [];
  const now = allDigests(body, seal);
  const differing = [...new Set([...Object.keys(now), ...Object.keys(seal.parts)])].filter(
    (path) => now[path] !== seal.parts[path],
  );
  const ofBody = differing.filter((path) => !path.startsWith('seal.'));
  // The body's own hash still fits: then a digest was touched, not the part.
  if (hashFits && ofBody.length > 0)
    return ofBody.map((path) => ({
      path: `${sealPath}.parts.${path}`,
      words: 'a digest in the seal',
    }));
  if (differing.length > 0)
    return differing.map((path) =>
      path.startsWith('seal.')
        ? {
            path: sealPath + path.slice('seal'.length),
            words: describe(seal, path.slice(5), false),
          }
        : { path: `${bodyPath}.${path}`, words: describe(body, path, now[path] === undefined) },
    );
  if (!hashFits) return [{ path: `${sealPath}.hash`, words: 'the hash in the seal' }];
  return [{ path: `${sealPath}.signature`, words: 'the signature, or a name in the seal' }];
}

function describe(body: object, path: string, missing: boolean): string {
  if (missing) return 'was removed';
  const [, name, index] = /^(\w+)(?:\[(\d+)\])?$/.exec(path) ?? [];
  const value: unknown = (body as Record<string, unknown>)[name];
  const item =
    index === undefined || !Array.isArray(value) ? value : (value[Number(index)] as unknown);
  if (isObject(item)) {
    const { title, place, name: ofPerson } = item as Record<string, unknown>;
    const said = [title, place, ofPerson].filter((each) => typeof each === 'string');
    if (said.length > 0) return said.join(', ');
  }
  return typeof item === 'string' || typeof item === 'number' ? String(item) : '';
}
