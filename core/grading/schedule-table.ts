import { type Catalogue, type Circumstance, type Symptom } from '../catalogue';
import { HOUSE_STRICTER, partsToReport, type Schedule } from '../schedules';
import { gradeSymptom } from './grade-symptom';
import type { Grade, Policy } from './policy';

/** One symptom of ours beside one defect of a public schedule. */
export interface ScheduleRow {
  readonly item: string;
  readonly title: string;
  readonly defect: string;
  /** What the schedule calls it. */
  readonly scheduled: 'minor' | 'major';
  readonly when?: readonly Circumstance[];
  readonly from?: number;
  readonly check: string;
  readonly symptom: string;
  readonly words: string;
  /** What it is called here, by day and dry where the schedule names no moment. */
  readonly grade: Grade;
  readonly agreement: 'agrees' | 'stricter' | 'laxer';
  /** Why the house is stricter. */
  readonly because?: string;
}

export interface ScheduleTable {
  readonly rows: readonly ScheduleRow[];
  /** Defects of the schedule that no symptom of the catalogue stands for. */
  readonly without: readonly { readonly item: string; readonly defect: string }[];
}

/**
 * A public schedule and what is made of it here, item by item, for a reader who holds the printed one beside it.
 * @param passenger whether the schedule is for buses: then only their checks are read
 */
export function scheduleTable(
  { modules }: Catalogue,
  schedule: Schedule,
  policy: Policy,
  passenger: boolean,
): ScheduleTable {
  const symptoms = new Map<string, { readonly check: string; readonly symptom: Symptom }>();
  for (const { checks, vehicleClass } of modules)
    if ((vehicleClass === 'passenger') === passenger)
      for (const check of checks)
        for (const symptom of check.symptoms) {
          const tail = check.id.slice(check.id.indexOf('.') + 1);
          const place = `${tail} ${symptom.id}`;
          if (!symptoms.has(place)) symptoms.set(place, { check: tail, symptom });
        }
  const rows: ScheduleRow[] = [];
  const without: { item: string; defect: string }[] = [];
  for (const { item, title, defects } of schedule.items)
    for (const { words: defect, grade: scheduled, when, from, symptoms: named } of defects) {
      const found = named.flatMap((name) => {
        const [place, step] = name.split('#');
        const of = symptoms.get(place);
        return of ? [{ ...of, step }] : [];
      });
      if (found.length === 0) without.push({ item, defect });
      for (const { check, symptom, step } of found) {
        const { grade } = gradeSymptom({
          symptom,
          stepId: step ?? mildest(symptom),
          circumstances: new Set(when),
          alike: from ?? 1,
          places: from ?? 1,
          policies: [policy],
        });
        rows.push({
          item,
          title,
          defect,
          scheduled,
          ...(when && { when }),
          ...(from !== undefined && { from }),
          check,
          symptom: symptom.id,
          words: symptom.words,
          grade,
          agreement: agreementOf(grade, scheduled),
          ...(agreementOf(grade, scheduled) === 'stricter' && {
            because: HOUSE_STRICTER[`${check} ${symptom.id}`],
          }),
        });
      }
    }
  return { rows, without };
}

/** Where the schedule names no extent, the mildest is held against it. */
function mildest({ scale }: Symptom): string | undefined {
  return scale?.steps[0]?.id;
}

function agreementOf(grade: Grade, scheduled: 'minor' | 'major'): ScheduleRow['agreement'] {
  if (grade === scheduled) return 'agrees';
  return grade === 'major' ? 'stricter' : 'laxer';
}

/** A symptom of a part of which a report has to speak (49 CFR 396.11(a)(1)), and whether it must be certified before it is driven. */
export interface ReportedRow {
  readonly item: string;
  readonly title: string;
  readonly check: string;
  readonly symptom: string;
  readonly grade: Grade;
  /** Something to mend, or no more than to watch. */
  readonly isDefect: boolean;
}

/** Every symptom of a listed part, by the item of the list; of families that stand on several vehicles the first. */
export function reportedParts({ modules }: Catalogue, policy: Policy): ReportedRow[] {
  const seen = new Set<string>();
  return partsToReport.flatMap(({ item, title, systems }) =>
    modules.flatMap(({ checks }) =>
      checks.flatMap((check) => {
        const tail = check.id.slice(check.id.indexOf('.') + 1);
        return check.symptoms.flatMap((symptom): ReportedRow[] => {
          const name = `${item} ${tail} ${symptom.id}`;
          const isParking = /parking/.test(check.id);
          const isOther = item === 'ii' ? !isParking : item === 'i' && isParking;
          if (!systems.includes(symptom.system) || isOther || seen.has(name)) return [];
          seen.add(name);
          const { grade } = gradeSymptom({
            symptom,
            stepId: mildest(symptom),
            circumstances: new Set(),
            alike: 1,
            policies: [policy],
          });
          const isDefect = (symptom.scale?.steps[0]?.harm ?? symptom.harm) !== 'watch';
          return [{ item, title, check: tail, symptom: symptom.id, grade, isDefect }];
        });
      }),
    ),
  );
}
