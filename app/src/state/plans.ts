import { USUAL_SCHOOL, type KeptStop, type School } from '@nazar/core/planning';
import { useEffect, useState } from 'react';
import { keepValue, readValue } from './database';

const planOf = (inspectionId: string) => `plan ${inspectionId}`;

/** The order in which a walk is to be made, and the line that the feet make, metres of the rig's frame. */
export interface KeptPlan {
  readonly stops: readonly KeptStop[];
  readonly way: readonly { readonly x: number; readonly y: number }[];
}

/** Keeps the plan of a walk; it is no part of the record. */
export function keepPlan(inspectionId: string, { stops, way }: KeptPlan): Promise<void> {
  return keepValue(planOf(inspectionId), { stops, way });
}

/** The kept plan of a walk: undefined while it is read, null where it has none. */
export function useKeptPlan(inspectionId: string): KeptPlan | undefined | null {
  const [read, setRead] = useState<{
    readonly id: string;
    readonly plan: KeptPlan | null;
  }>();
  useEffect(() => {
    let gone = false;
    void readValue<KeptPlan>(planOf(inspectionId)).then((plan) => {
      if (!gone) setRead({ id: inspectionId, plan: plan ?? null });
    });
    return () => {
      gone = true;
    };
  }, [inspectionId]);
  return read?.id === inspectionId ? read.plan : undefined;
}

const SCHOOL = 'school';

/** How this person walked last. */
export async function readSchool(): Promise<School> {
  return (await readValue<School>(SCHOOL)) ?? USUAL_SCHOOL;
}

export function keepSchool(school: School): Promise<void> {
  return keepValue(SCHOOL, school);
}
