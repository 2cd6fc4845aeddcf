import { ValidationError } from 'yup';
import { moduleSchema } from './module-schema';
import { findMovementFaults } from './movement-faults';
import { sortsOfWheels } from '../card';
import { LIST_SHORT, TANK_CONTENTS, type Catalogue, type Module } from '../catalogue';

/** Every fault of a catalogue with the place where it stands; empty when it may be used. */
export function findCatalogueFaults(catalogue: Catalogue): string[] {
  const faults: string[] = [];
  const seen = new Set<string>();
  const modules = new Set<string>();
  for (const module of catalogue.modules) {
    if (modules.has(module.id)) faults.push(`the module ${module.id} stands twice`);
    modules.add(module.id);
    const found = findModuleFaults(module);
    faults.push(...found);
    if (!Array.isArray(module.checks)) continue;
    for (const { id } of module.checks) {
      if (seen.has(id)) faults.push(`${module.id}: the check ${id} stands twice`);
      seen.add(id);
    }
    // A service that is done would count for two.
    const services = module.services ?? [];
    for (const [index, { id }] of services.entries())
      if (services.findIndex((each) => each.id === id) < index)
        faults.push(`${module.id}: the service ${id} stands twice`);
  }
  return faults;
}

/** Every fault of one module with its place; where its shape is wrong, nothing else is looked at. */
export function findModuleFaults(module: Module): string[] {
  const faults: string[] = [];
  try {
    moduleSchema.validateSync(module, { abortEarly: false, strict: true });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return error.errors.map((words) => `${module.id}: ${words}`);
  }
  const zones = new Set(module.zones.map((zone) => zone.id));
  const sorts = new Set([
    ...module.places.flatMap((place) => place.sorts),
    // The card of a unit may give it wheels and tanks that the module alone does not have.
    ...(module.runningGear ? sortsOfWheels(module.runningGear) : []),
    ...TANK_CONTENTS.map((contents) => `${contents}-tank`),
  ]);
  const places = new Set<string>();
  for (const place of module.places) {
    if (places.has(place.id)) faults.push(`${module.id}: the place ${place.id} stands twice`);
    places.add(place.id);
    if (!zones.has(place.zone)) faults.push(`${module.id}: ${place.id} is in no zone`);
  }
  const fields = new Set(module.specification.map(({ id }) => id));
  if (module.build !== 'chassis' && !module.mountsOn)
    faults.push(`${module.id}: it does not say where it is mounted`);
  for (const check of module.checks) {
    const symptoms = new Set(check.symptoms.map((symptom) => symptom.id));
    if (symptoms.size !== check.symptoms.length) faults.push(`${check.id}: a symptom stands twice`);
    if (!zones.has(check.zone)) faults.push(`${check.id}: no zone ${check.zone}`);
    if (check.each && !sorts.has(check.each))
      faults.push(`${check.id}: no place of sort ${check.each}`);
    for (const band of check.reading?.bands ?? []) {
      if (!symptoms.has(band.symptom))
        faults.push(`${check.id}: a band names no symptom ${band.symptom}`);
      if (band.limit.from === 'specification' && !fields.has(band.limit.field))
        faults.push(`${check.id}: the specification has no field ${band.limit.field}`);
    }
  }
  return [
    ...faults,
    ...findCombinationFaults(module),
    ...findProcedureFaults(module),
    ...findContentsFaults(module),
    ...findMovementFaults(module),
  ];
}

function findCombinationFaults(module: Module): string[] {
  const checks = new Map(module.checks.map((check) => [check.id, check]));
  return module.combinations.flatMap((combination) =>
    combination.parts.flatMap((part) => {
      const check = checks.get(part.check);
      if (!check) return [`${combination.id}: no check ${part.check}`];
      const known = new Set(check.symptoms.map(({ id }) => id));
      return (part.symptoms ?? [])
        .filter((id) => !known.has(id))
        .map((id) => `${combination.id}: ${part.check} has no symptom ${id}`);
    }),
  );
}

/** A cycle answers a check of its own module, and every step that may fail names a symptom of it. */
function findProcedureFaults(module: Module): string[] {
  const checks = new Map(module.checks.map((check) => [check.id, check]));
  return module.procedures.flatMap((procedure) => {
    const check = checks.get(procedure.check);
    if (!check) return [`${procedure.id}: no check ${procedure.check}`];
    const known = new Set(check.symptoms.map(({ id }) => id));
    const steps = new Set<string>();
    return procedure.steps.flatMap((step) => {
      const faults = step.fails
        .filter((id) => !known.has(id))
        .map((id) => `${procedure.id} ${step.id}: ${procedure.check} has no symptom ${id}`);
      if (steps.has(step.id)) faults.push(`${procedure.id}: the step ${step.id} stands twice`);
      steps.add(step.id);
      return faults;
    });
  });
}

/** A list is counted once, at a check of its module that can say that it is short. */
function findContentsFaults({ checks, contents }: Module): string[] {
  const items = new Set<string>();
  return contents.flatMap((item) => {
    const faults: string[] = [];
    if (items.has(item.id)) faults.push(`the item ${item.id} stands twice`);
    items.add(item.id);
    const check = checks.find(({ id }) => id === item.check);
    if (!check) faults.push(`${item.id}: no check ${item.check}`);
    else if (check.each) faults.push(`${item.id}: ${check.id} is asked at several places`);
    else if (!check.symptoms.some(({ id }) => id === LIST_SHORT))
      faults.push(`${item.id}: ${check.id} has no symptom ${LIST_SHORT}`);
    return faults;
  });
}
