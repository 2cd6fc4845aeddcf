import { array, number, object, string, ValidationError } from 'yup';
import type { Catalogue, Check, Module } from '../catalogue';
import { OWN_CHECK, protectionOf, type DepotContent, type StricterLimit } from '../depot-content';
import { toSi, UNITS, type UnitName } from '../quantity';
import { findModuleFaults } from './catalogue-faults';
import { plainText, uuid } from '../fields';
import { within, type Fault } from './faults';
import { findLooser, isLooser, lawOf } from './looser';
import { checkSchema, moduleSchema } from './module-schema';
import { findMovementFaults } from './movement-faults';

const scope = object({ unitId: uuid() }).noUnknown().required();
const reason = () =>
  plainText(300)
    .min(3, '${path}: say in a few words why')
    .required('${path}: say in a few words why');

const contentSchema = object({
  version: number().integer().min(0).required(),
  off: array(object({ check: plainText(120).required(), reason: reason(), scope }).noUnknown())
    .max(500)
    .required(),
  own: array(
    object({ module: plainText(80).required(), check: checkSchema.required(), scope }).noUnknown(),
  )
    .max(300)
    .required(),
  stricter: array(
    object({
      check: plainText(120).required(),
      side: string().oneOf(['below', 'above']).required(),
      value: number().required(),
      unit: string().oneOf(Object.keys(UNITS)).required(),
      reason: reason(),
      scope,
    }).noUnknown(),
  )
    .max(300)
    .required(),
  modules: array(moduleSchema).max(80).required(),
}).noUnknown();

/**
 * Every fault of a depot's changes to the catalogue, each with the place where it stands and the reason; empty when
 * they may be used.
 * @param value as it came, of any shape
 * @param catalogue the one that ships
 */
export function findDepotContentFaults(value: unknown, catalogue: Catalogue): Fault[] {
  try {
    contentSchema.validateSync(value, { abortEarly: false, strict: true });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return error.errors.map((words) => ({ code: 'shape', words }));
  }
  const content = value as DepotContent;
  return [
    ...findBroughtFaults(content.modules, catalogue),
    ...findOffFaults(content, catalogue),
    ...findOwnFaults(content, catalogue),
    ...findStricterFaults(content, catalogue),
  ];
}

function findBroughtFaults(modules: readonly Module[], catalogue: Catalogue): Fault[] {
  const seen = new Set<string>();
  const taken = new Map(
    catalogue.modules.flatMap((module) => module.checks.map(({ id }) => [id, module.id] as const)),
  );
  return modules.flatMap((module, index): Fault[] => {
    const at = `modules[${index}]`;
    const shipped = catalogue.modules.find(({ id }) => id === module.id);
    if (!shipped) return [{ code: 'no-such', at, what: 'module', id: module.id }];
    if (seen.has(module.id)) return [{ code: 'twice', at, what: 'module', id: module.id }];
    seen.add(module.id);
    const ids = new Set<string>();
    const twice = module.checks.flatMap(({ id }): Fault[] => {
      const other = taken.get(id);
      if (ids.has(id)) return [{ code: 'twice', at, what: 'check', id }];
      ids.add(id);
      return other !== undefined && other !== module.id
        ? [{ code: 'of-other-module', at, check: id, module: other }]
        : [];
    });
    return [
      ...twice,
      ...findModuleFaults(module).map(within(at)),
      ...findLooser(shipped, module).map(within(at)),
    ];
  });
}

/** Module and check as they stand after what was brought in. */
function findCheck(id: string, { modules }: DepotContent, catalogue: Catalogue): Check | undefined {
  for (const shipped of catalogue.modules) {
    const module = modules.find((each) => each.id === shipped.id) ?? shipped;
    const check = module.checks.find((each) => each.id === id);
    if (check) return check;
  }
  return undefined;
}

function findOffFaults(content: DepotContent, catalogue: Catalogue): Fault[] {
  return content.off.flatMap(({ check: id, scope: { unitId } }, index): Fault[] => {
    const at = `off[${index}]`;
    const check = findCheck(id, content, catalogue);
    if (!check) return [{ code: 'no-such', at, what: 'check', id }];
    const first = content.off.findIndex(
      (other) => other.check === id && other.scope.unitId === unitId,
    );
    if (first !== index) return [{ code: 'off-twice', at, check: id }];
    const protection = protectionOf(check);
    if (!protection) return [];
    return [
      protection.by === 'rule'
        ? { code: 'off-by-rule', at, check: id, source: protection.source }
        : { code: 'off-stops', at, check: id },
    ];
  });
}

function findOwnFaults(content: DepotContent, catalogue: Catalogue): Fault[] {
  const ids = new Set<string>();
  return content.own.flatMap(({ module: moduleId, check }, index): Fault[] => {
    const at = `own[${index}]`;
    const module = catalogue.modules.find(({ id }) => id === moduleId);
    if (!module) return [{ code: 'no-such', at, what: 'module', id: moduleId }];
    const faults: Fault[] = [];
    if (!check.id.startsWith(OWN_CHECK))
      faults.push({ code: 'own-id', at, check: check.id, begins: OWN_CHECK });
    if (ids.has(check.id)) faults.push({ code: 'twice', at, what: 'check', id: check.id });
    ids.add(check.id);
    if (!module.zones.some(({ id }) => id === check.zone))
      faults.push({ code: 'has-no', at, owner: moduleId, what: 'zone', id: check.zone });
    if (check.each && !module.places.some(({ sorts }) => sorts.includes(check.each ?? '')))
      faults.push({ code: 'has-no', at, owner: moduleId, what: 'sort', id: check.each });
    const symptoms = new Set(check.symptoms.map(({ id }) => id));
    for (const { id } of check.symptoms.filter(
      (each, place, all) => all.findIndex((other) => other.id === each.id) < place,
    ))
      faults.push({ code: 'twice', at, what: 'symptom', id });
    for (const { symptom } of check.reading?.bands ?? [])
      if (!symptoms.has(symptom)) faults.push({ code: 'band-without-symptom', at, symptom });
    const all = { ...module, checks: [...module.checks, check] };
    faults.push(...findMovementFaults(all).map(within(at)));
    return faults;
  });
}

function findStricterFaults(content: DepotContent, catalogue: Catalogue): Fault[] {
  return content.stricter.flatMap((limit, index): Fault[] => {
    const at = `stricter[${index}]`;
    const check = findCheck(limit.check, content, catalogue);
    if (!check) return [{ code: 'no-such', at, what: 'check', id: limit.check }];
    const fault = findLimitFault(limit, check);
    return fault ? [within(at)(fault)] : [];
  });
}

function findLimitFault(limit: StricterLimit, { id, reading }: Check): Fault | undefined {
  const bands = reading?.bands.filter(({ side }) => side === limit.side) ?? [];
  if (!reading || bands.length === 0)
    return { code: 'no-limit-of-side', check: id, side: limit.side };
  const kind = UNITS[limit.unit as UnitName].kind;
  if (kind !== reading.kind) return { code: 'other-kind', check: id, unit: limit.unit };
  const value = toSi(limit.value, limit.unit);
  const [least, most, unit] = reading.plausible;
  if (value < toSi(least, unit) || value > toSi(most, unit))
    return { code: 'never-measured-at', check: id, value: limit.value, unit: limit.unit };
  for (const band of bands) {
    const law = lawOf(band);
    if (law && isLooser(value, law.si, limit.side))
      return { code: 'looser-than-law', value: `${limit.value} ${limit.unit}`, law: law.words };
  }
  return undefined;
}
