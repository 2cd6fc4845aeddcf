import type { Catalogue, Check, Module } from '@nazar/core/catalogue';
import { withDepotContent, type DepotContent } from '@nazar/core/depot-content';
import type { Unit } from '@nazar/core/rig';

/**
 * Modules that the units of the depot are made of, each with the checks that it asks now.
 * @param shipped the catalogue without what the depot changed
 */
export function modulesOf(
  units: readonly Unit[],
  content: DepotContent,
  shipped: Catalogue,
): Module[] {
  const used = new Set(units.flatMap(({ moduleId, fitted }) => [moduleId, ...(fitted ?? [])]));
  return withDepotContent(shipped, content).modules.filter(({ id }) => used.has(id));
}

/** Units that are made of a module. */
export function unitsWith(units: readonly Unit[], moduleId: string): Unit[] {
  return units.filter(
    (unit) => unit.moduleId === moduleId || (unit.fitted?.includes(moduleId) ?? false),
  );
}

/** Title of a check, as the catalogue ships it or as the house wrote it. */
export function titleOfCheck(id: string, content: DepotContent, shipped: Catalogue): string {
  const own = content.own.find(({ check }) => check.id === id);
  if (own) return own.check.title;
  for (const { checks } of [...content.modules, ...shipped.modules]) {
    const check = checks.find((each) => each.id === id);
    if (check) return check.title;
  }
  return id;
}

/** Checks whose words have every word that was typed. */
export function findChecks(checks: readonly Check[], typed: string): Check[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return checks.filter((check) => {
    const text = `${check.title} ${check.criterion}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

/** An id of its own for a check that is written here. */
export function newCheckId(title: string, content: DepotContent): string {
  const stem = `house.${
    title
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 40) || 'check'
  }`;
  const taken = new Set(content.own.map(({ check }) => check.id));
  for (let number = 1; ; number += 1) {
    const id = number === 1 ? stem : `${stem}-${number}`;
    if (!taken.has(id)) return id;
  }
}
