import { ValidationError } from 'yup';
import type { Fault } from './faults';
import { moduleSchema } from './module-schema';
import { findMovementFaults } from './movement-faults';
import { sortsOfWheels } from '../card';
import { LIST_SHORT, TANK_CONTENTS, type Catalogue, type Module } from '../catalogue';

/** Every fault of a catalogue with the place where it stands; empty when it may be used. */
export function findCatalogueFaults(catalogue: Catalogue): Fault[] {
  const faults: Fault[] = [];
  const seen = new Set<string>();
  const modules = new Set<string>();
  for (const module of catalogue.modules) {
    if (modules.has(module.id)) faults.push({ code: 'twice', what: 'module', id: module.id });
    modules.add(module.id);
    const found = findModuleFaults(module);
    faults.push(...found);
    if (!Array.isArray(module.checks)) continue;
    for (const { id } of module.checks) {
      if (seen.has(id)) faults.push({ code: 'twice', at: module.id, what: 'check', id });
      seen.add(id);
    }
    // A service that is done would count for two.
    const services = module.services ?? [];
    for (const [index, { id }] of services.entries())
      if (services.findIndex((each) => each.id === id) < index)
        faults.push({ code: 'twice', at: module.id, what: 'service', id });
  }
  return faults;
}

/** Every fault of one module with its place; where its shape is wrong, nothing else is looked at. */
export function findModuleFaults(module: Module): Fault[] {
  const faults: Fault[] = [];
  try {
    moduleSchema.validateSync(module, { abortEarly: false, strict: true });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return error.errors.map((words) => ({ code: 'shape', at: module.id, words }));
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
    if (places.has(place.id))
      faults.push({ code: 'twice', at: module.id, what: 'place', id: place.id });
    places.add(place.id);
    if (!zones.has(place.zone)) faults.push({ code: 'in-no-zone', at: module.id, place: place.id });
  }
  const fields = new Set(module.specification.map(({ id }) => id));
  if (module.build !== 'chassis' && !module.mountsOn)
    faults.push({ code: 'no-mount', at: module.id });
  for (const check of module.checks) {
    const symptoms = new Set(check.symptoms.map((symptom) => symptom.id));
    if (symptoms.size !== check.symptoms.length)
      faults.push({ code: 'twice', at: check.id, what: 'symptom', id: twiceIn(check.symptoms) });
    if (!zones.has(check.zone))
      faults.push({ code: 'no-such', at: check.id, what: 'zone', id: check.zone });
    if (check.each && !sorts.has(check.each))
      faults.push({ code: 'no-such', at: check.id, what: 'sort', id: check.each });
    for (const band of check.reading?.bands ?? []) {
      if (!symptoms.has(band.symptom))
        faults.push({ code: 'band-without-symptom', at: check.id, symptom: band.symptom });
      if (band.limit.from === 'specification' && !fields.has(band.limit.field))
        faults.push({ code: 'no-such', at: check.id, what: 'field', id: band.limit.field });
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

function findCombinationFaults(module: Module): Fault[] {
  const checks = new Map(module.checks.map((check) => [check.id, check]));
  return module.combinations.flatMap((combination) =>
    combination.parts.flatMap((part): Fault[] => {
      const check = checks.get(part.check);
      if (!check) return [{ code: 'no-such', at: combination.id, what: 'check', id: part.check }];
      const known = new Set(check.symptoms.map(({ id }) => id));
      return (part.symptoms ?? [])
        .filter((id) => !known.has(id))
        .map((id): Fault => ({
          code: 'has-no',
          at: combination.id,
          owner: part.check,
          what: 'symptom',
          id,
        }));
    }),
  );
}

/** A cycle answers a check of its own module, and every step that may fail names a symptom of it. */
function findProcedureFaults(module: Module): Fault[] {
  const checks = new Map(module.checks.map((check) => [check.id, check]));
  return module.procedures.flatMap((procedure): Fault[] => {
    const check = checks.get(procedure.check);
    if (!check) return [{ code: 'no-such', at: procedure.id, what: 'check', id: procedure.check }];
    const known = new Set(check.symptoms.map(({ id }) => id));
    const steps = new Set<string>();
    return procedure.steps.flatMap((step): Fault[] => {
      const faults = step.fails
        .filter((id) => !known.has(id))
        .map((id): Fault => ({
          code: 'has-no',
          at: `${procedure.id} ${step.id}`,
          owner: procedure.check,
          what: 'symptom',
          id,
        }));
      if (steps.has(step.id))
        faults.push({ code: 'twice', at: procedure.id, what: 'step', id: step.id });
      steps.add(step.id);
      return faults;
    });
  });
}

/** A list is counted once, at a check of its module that can say that it is short. */
function findContentsFaults({ checks, contents }: Module): Fault[] {
  const items = new Set<string>();
  return contents.flatMap((item) => {
    const faults: Fault[] = [];
    if (items.has(item.id)) faults.push({ code: 'twice', what: 'item', id: item.id });
    items.add(item.id);
    const check = checks.find(({ id }) => id === item.check);
    if (!check) faults.push({ code: 'no-such', at: item.id, what: 'check', id: item.check });
    else if (check.each) faults.push({ code: 'at-several-places', item: item.id, check: check.id });
    else if (!check.symptoms.some(({ id }) => id === LIST_SHORT))
      faults.push({
        code: 'has-no',
        at: item.id,
        owner: check.id,
        what: 'symptom',
        id: LIST_SHORT,
      });
    return faults;
  });
}

const twiceIn = (all: readonly { readonly id: string }[]) =>
  all.find(({ id }, index) => all.findIndex((each) => each.id === id) < index)?.id ?? '';
