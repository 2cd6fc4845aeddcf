import { toText } from './to-text';
import type { Catalogue, Module } from '../catalogue';
import type { DepotContent } from '../depot-content';
import type { Fault } from './faults';
import { findDepotContentFaults } from './depot-content-faults';

export const CATALOGUE_FORMAT = 'nazar-catalogue';
export const CATALOGUE_FILE_VERSION = 1;

/** A catalogue with the changes of a depot, as one JSON file (docs/format.md). */
export interface CatalogueFile {
  readonly format: typeof CATALOGUE_FORMAT;
  readonly version: typeof CATALOGUE_FILE_VERSION;
  /** Version of the catalogue that it was taken from. */
  readonly catalogue: string;
  readonly house: Pick<DepotContent, 'version' | 'off' | 'own' | 'stricter'>;
  readonly modules: readonly Module[];
}

/** Everything that a depot asks, module by module. */
export function toCatalogueFile(catalogue: Catalogue, content: DepotContent): CatalogueFile {
  const { version, off, own, stricter, modules } = content;
  return {
    format: CATALOGUE_FORMAT,
    version: CATALOGUE_FILE_VERSION,
    catalogue: catalogue.version,
    house: { version, off, own, stricter },
    modules: catalogue.modules.map(
      (module) => modules.find(({ id }) => id === module.id) ?? module,
    ),
  };
}

export type ReadFile =
  | { readonly ok: true; readonly content: DepotContent }
  /** Each with its place and the reason; nothing of the file is taken in. */
  | { readonly ok: false; readonly faults: readonly Fault[] };

/**
 * Checks a file whole and turns it into the changes that it makes. A module that is as it ships is no change.
 * @param value parsed JSON of any shape
 */
export function readCatalogueFile(value: unknown, catalogue: Catalogue): ReadFile {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return refuse({ code: 'not-an-object', what: 'catalogue' });
  const file = value as Partial<Record<keyof CatalogueFile, unknown>>;
  if (file.format !== CATALOGUE_FORMAT)
    return refuse({ code: 'not-this-format', at: 'format', format: CATALOGUE_FORMAT });
  if (file.version !== CATALOGUE_FILE_VERSION)
    return refuse({ code: 'not-this-version', at: 'version', version: CATALOGUE_FILE_VERSION });
  if (file.catalogue !== catalogue.version)
    return refuse({
      code: 'other-catalogue',
      at: 'catalogue',
      from: String(file.catalogue),
      here: catalogue.version,
    });
  if (typeof file.house !== 'object' || file.house === null)
    return refuse({ code: 'missing', at: 'house' });
  if (!Array.isArray(file.modules)) return refuse({ code: 'missing', at: 'modules' });
  const shipped = new Map(catalogue.modules.map((module) => [module.id, toText(module)]));
  const twice = file.modules.find(
    (module: unknown, index) =>
      file.modules instanceof Array &&
      file.modules.findIndex((other) => idOf(other) === idOf(module)) !== index,
  );
  if (twice)
    return refuse({ code: 'twice', at: 'modules', what: 'module', id: String(idOf(twice)) });
  const content = {
    ...(file.house as object),
    modules: file.modules.filter(
      (module: unknown) => shipped.get(String(idOf(module))) !== toText(module),
    ),
  };
  const faults = findDepotContentFaults(content, catalogue);
  return faults.length > 0
    ? { ok: false, faults }
    : { ok: true, content: content as unknown as DepotContent };
}

function refuse(...faults: Fault[]): ReadFile {
  return { ok: false, faults };
}

function idOf(module: unknown): unknown {
  return (module as { id?: unknown } | null)?.id;
}
