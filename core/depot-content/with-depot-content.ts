import type { Band, Catalogue, Check, Module } from '../catalogue';
import type { DepotContent, Scope, StricterLimit } from './content';

/** A catalogue with what is ruled for single units, which counts once a unit is joined. */
interface DepotCatalogue extends Catalogue {
  readonly forUnits?: DepotContent;
}

const made = new WeakMap<Catalogue, WeakMap<DepotContent, Catalogue>>();

/**
 * The catalogue as a depot asks it: modules of its own file, checks switched off and added, limits tightened. The
 * same content gives the same object, so that what is derived from it is derived once.
 */
export function withDepotContent(catalogue: Catalogue, content: DepotContent): Catalogue {
  if (content.version === 0) return catalogue;
  let kept = made.get(catalogue);
  if (!kept) made.set(catalogue, (kept = new WeakMap()));
  const known = kept.get(content);
  if (known) return known;
  const everywhere = only(content, ({ unitId }) => unitId === undefined);
  const forUnits = only(content, ({ unitId }) => unitId !== undefined);
  const adapted: DepotCatalogue = {
    version: catalogue.version,
    modules: catalogue.modules.map((module) =>
      adapt(content.modules.find(({ id }) => id === module.id) ?? module, everywhere),
    ),
    ...(hasRules(forUnits) && { forUnits }),
  };
  kept.set(content, adapted);
  return adapted;
}

/** A unit's module with what the house has ruled for this very unit. */
export function adaptToUnit(module: Module, unitId: string, catalogue: Catalogue): Module {
  const { forUnits } = catalogue as DepotCatalogue;
  if (!forUnits) return module;
  const here = only(forUnits, (scope) => scope.unitId === unitId);
  return hasRules(here) ? adapt(module, here) : module;
}

/** Whether anything is ruled for this very unit. */
export function isAdapted(unitId: string, catalogue: Catalogue): boolean {
  const { forUnits } = catalogue as DepotCatalogue;
  return forUnits !== undefined && hasRules(only(forUnits, (scope) => scope.unitId === unitId));
}

function only<T extends DepotContent>(content: T, fits: (scope: Scope) => boolean): T {
  return {
    ...content,
    off: content.off.filter(({ scope }) => fits(scope)),
    own: content.own.filter(({ scope }) => fits(scope)),
    stricter: content.stricter.filter(({ scope }) => fits(scope)),
  };
}

function hasRules({ off, own, stricter }: DepotContent): boolean {
  return off.length + own.length + stricter.length > 0;
}

function adapt(module: Module, content: DepotContent): Module {
  const off = new Map(content.off.map((each) => [each.check, each.reason]));
  const own = content.own.filter((each) => fitsInto(module, each.module));
  const stricter = content.stricter.filter((each) =>
    module.checks.some(({ id }) => id === each.check),
  );
  const gone = module.checks.filter(({ id }) => off.has(id));
  if (gone.length + own.length + stricter.length === 0) return module;
  const checks = [
    ...module.checks
      .filter(({ id }) => !off.has(id))
      .map((check) =>
        tighten(
          check,
          stricter.filter((each) => each.check === check.id),
        ),
      ),
    ...own.map(({ check }) => check),
  ];
  const asked = new Set(checks.map(({ id }) => id));
  return {
    ...module,
    checks,
    procedures: module.procedures.filter(({ check }) => asked.has(check)),
    contents: module.contents.filter(({ check }) => asked.has(check)),
    combinations: module.combinations.filter(({ parts }) =>
      parts.every(({ check }) => asked.has(check)),
    ),
    switchedOff: [
      ...(module.switchedOff ?? []),
      ...gone.map(({ id, title }) => ({ check: id, title, reason: off.get(id) ?? '' })),
    ],
  };
}

/** A check of a fitted module belongs to the unit that carries it. */
function fitsInto(module: Module, id: string): boolean {
  return module.id === id || (module.parts?.includes(id) ?? false);
}

/** As the mildest fault of its side. The house's limit stands beside the others, so that it can only find more. */
function tighten(check: Check, limits: readonly StricterLimit[]): Check {
  const { reading } = check;
  if (!reading || limits.length === 0) return check;
  const bands = limits.flatMap((limit): Band[] => {
    const named = reading.bands.findLast(({ side }) => side === limit.side);
    return named
      ? [
          {
            side: limit.side,
            symptom: named.symptom,
            limit: { from: 'house', value: limit.value, unit: limit.unit, source: limit.reason },
          },
        ]
      : [];
  });
  return { ...check, reading: { ...reading, bands: [...reading.bands, ...bands] } };
}
