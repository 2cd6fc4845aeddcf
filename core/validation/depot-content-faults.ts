import { array, number, object, string, ValidationError } from 'yup';
import type { Catalogue, Check, Module } from '../catalogue';
import { OWN_CHECK, protectionOf, type DepotContent, type StricterLimit } from '../depot-content';
import { toSi, UNITS, type UnitName } from '../quantity';
import { findModuleFaults } from './catalogue-faults';
import { plainText, uuid } from '../fields';
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
export function findDepotContentFaults(value: unknown, catalogue: Catalogue): string[] {
  try {
    contentSchema.validateSync(value, { abortEarly: false, strict: true });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return error.errors;
  }
  const content = value as DepotContent;
  return [
    ...findBroughtFaults(content.modules, catalogue),
    ...findOffFaults(content, catalogue),
    ...findOwnFaults(content, catalogue),
    ...findStricterFaults(content, catalogue),
  ];
}

function findBroughtFaults(modules: readonly Module[], catalogue: Catalogue): string[] {
  const seen = new Set<string>();
  const taken = new Map(
    catalogue.modules.flatMap((module) => module.checks.map(({ id }) => [id, module.id] as const)),
  );
  return modules.flatMap((module, index) => {
    const at = `modules[${index}]`;
    const shipped = catalogue.modules.find(({ id }) => id === module.id);
    if (!shipped) return [`${at}: there is no module ${module.id} in the catalogue`];
    if (seen.has(module.id)) return [`${at}: the module ${module.id} stands twice`];
    seen.add(module.id);
    const ids = new Set<string>();
    const twice = module.checks.flatMap(({ id }) => {
      const other = taken.get(id);
      if (ids.has(id)) return [`${at}: the check ${id} stands twice`];
      ids.add(id);
      return other !== undefined && other !== module.id
        ? [`${at}: the check ${id} is one of ${other}`]
        : [];
    });
    return [
      ...twice,
      ...findModuleFaults(module).map((words) => `${at}: ${words}`),
      ...findLooser(shipped, module).map((words) => `${at}: ${words}`),
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

function findOffFaults(content: DepotContent, catalogue: Catalogue): string[] {
  return content.off.flatMap(({ check: id, scope: { unitId } }, index) => {
    const at = `off[${index}]`;
    const check = findCheck(id, content, catalogue);
    if (!check) return [`${at}: there is no check ${id}`];
    const first = content.off.findIndex(
      (other) => other.check === id && other.scope.unitId === unitId,
    );
    if (first !== index) return [`${at}: ${id} is switched off twice`];
    const protection = protectionOf(check);
    if (!protection) return [];
    return [
      protection.by === 'rule'
        ? `${at}: ${id} cannot be switched off, a public rule asks for it (${protection.source})`
        : `${at}: ${id} cannot be switched off, what it finds can keep the vehicle or its equipment from being used`,
    ];
  });
}

function findOwnFaults(content: DepotContent, catalogue: Catalogue): string[] {
  const ids = new Set<string>();
  return content.own.flatMap(({ module: moduleId, check }, index) => {
    const at = `own[${index}]`;
    const module = catalogue.modules.find(({ id }) => id === moduleId);
    if (!module) return [`${at}: there is no module ${moduleId} in the catalogue`];
    const faults: string[] = [];
    if (!check.id.startsWith(OWN_CHECK))
      faults.push(`${at}: the id ${check.id} must begin with ${OWN_CHECK}`);
    if (ids.has(check.id)) faults.push(`${at}: the check ${check.id} stands twice`);
    ids.add(check.id);
    if (!module.zones.some(({ id }) => id === check.zone))
      faults.push(`${at}: ${moduleId} has no zone ${check.zone}`);
    if (check.each && !module.places.some(({ sorts }) => sorts.includes(check.each ?? '')))
      faults.push(`${at}: ${moduleId} has no place of sort ${check.each}`);
    const symptoms = new Set(check.symptoms.map(({ id }) => id));
    if (symptoms.size !== check.symptoms.length) faults.push(`${at}: a symptom stands twice`);
    for (const { symptom } of check.reading?.bands ?? [])
      if (!symptoms.has(symptom)) faults.push(`${at}: a limit names no symptom ${symptom}`);
    const all = { ...module, checks: [...module.checks, check] };
    faults.push(...findMovementFaults(all).map((words) => `${at}: ${words}`));
    return faults;
  });
}

function findStricterFaults(content: DepotContent, catalogue: Catalogue): string[] {
  return content.stricter.flatMap((limit, index) => {
    const at = `stricter[${index}]`;
    const check = findCheck(limit.check, content, catalogue);
    if (!check) return [`${at}: there is no check ${limit.check}`];
    const words = findLimitFault(limit, check);
    return words ? [`${at}: ${words}`] : [];
  });
}

function findLimitFault(limit: StricterLimit, { id, reading }: Check): string | undefined {
  const bands = reading?.bands.filter(({ side }) => side === limit.side) ?? [];
  if (!reading || bands.length === 0) return `${id} has no limit ${limit.side} which it is a fault`;
  const kind = UNITS[limit.unit as UnitName].kind;
  if (kind !== reading.kind) return `${id} is not measured in ${limit.unit}`;
  const value = toSi(limit.value, limit.unit);
  const [least, most, unit] = reading.plausible;
  if (value < toSi(least, unit) || value > toSi(most, unit))
    return `${id} is never measured at ${limit.value} ${limit.unit}`;
  for (const band of bands) {
    const law = lawOf(band);
    if (law && isLooser(value, law.si, limit.side))
      return `${limit.value} ${limit.unit} is looser than law, ${law.words}`;
  }
  return undefined;
}
