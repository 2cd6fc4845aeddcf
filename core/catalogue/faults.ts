import { ValidationError } from 'yup';
import { moduleSchema } from './schema';
import type { Catalogue, Module } from './types';

/** Every fault of a catalogue with the place where it stands; empty when it may be used. */
export function findCatalogueFaults(catalogue: Catalogue): string[] {
  const faults: string[] = [];
  const seen = new Set<string>();
  for (const module of catalogue.modules) {
    faults.push(...findModuleFaults(module));
    for (const { id } of module.checks) {
      if (seen.has(id)) faults.push(`${module.id}: the check ${id} stands twice`);
      seen.add(id);
    }
  }
  return faults;
}

function findModuleFaults(module: Module): string[] {
  const faults: string[] = [];
  try {
    moduleSchema.validateSync(module, { abortEarly: false, strict: true });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    faults.push(...error.errors.map((words) => `${module.id}: ${words}`));
  }
  const zones = new Set(module.zones.map((zone) => zone.id));
  const sorts = new Set(module.places.flatMap((place) => place.sorts));
  for (const place of module.places) {
    if (!zones.has(place.zone)) faults.push(`${module.id}: ${place.id} is in no zone`);
  }
  for (const check of module.checks) {
    const symptoms = new Set(check.symptoms.map((symptom) => symptom.id));
    if (symptoms.size !== check.symptoms.length) faults.push(`${check.id}: a symptom stands twice`);
    if (!zones.has(check.zone)) faults.push(`${check.id}: no zone ${check.zone}`);
    if (check.each && !sorts.has(check.each))
      faults.push(`${check.id}: no place of sort ${check.each}`);
    for (const band of check.reading?.bands ?? []) {
      if (!symptoms.has(band.symptom))
        faults.push(`${check.id}: a band names no symptom ${band.symptom}`);
    }
  }
  return faults;
}
