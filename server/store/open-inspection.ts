import type { AnyEvent, KnownDefect, UnreadRepair } from '@nazar/core/inspection';
import type { Knex } from 'knex';
import type { DepotUnit } from './units';

/** What bears on the verdict of a walk: defects open on its units since earlier ones, and repairs not read. */
export interface Bearing {
  readonly known: readonly KnownDefect[];
  readonly unread: readonly UnreadRepair[];
}

export interface OpenedInspection {
  readonly log: readonly AnyEvent[];
  /** Of the rig, front to rear; those of another organisation are simply not there. */
  readonly units: readonly DepotUnit[];
  readonly bearing: Bearing;
}

interface OpenDefect {
  readonly id: string;
  readonly unitId: string;
  readonly key: string;
  readonly title: string;
  readonly place: string | null;
  readonly grade: KnownDefect['grade'];
  readonly blocks: KnownDefect['blocks'];
  readonly symptom: string;
  readonly status: string;
  readonly outcomeWords: string | null;
}

/**
 * Names the organisation of this transaction, becomes the only writer of the inspection until
 * it ends, and reads all that is needed to take entries in: one trip to the database.
 * @param asked ids of the units, used while the log does not name them yet
 */
export async function openInspection(
  trx: Knex.Transaction,
  organisationId: string,
  inspectionId: string,
  asked: readonly string[],
): Promise<OpenedInspection> {
  const { rows } = await trx
    .raw('select open_inspection(?, ?, ?::uuid[]) as opened', [
      organisationId,
      inspectionId,
      [...asked],
    ] as never)
    .options({ name: 'open-inspection' });
  const { log, units, open } = rows[0].opened as {
    log: AnyEvent[];
    units: DepotUnit[];
    open: OpenDefect[];
  };
  return { log, units, bearing: toBearing(open) };
}

function toBearing(open: readonly OpenDefect[]): Bearing {
  const titleOf = ({ title, place }: OpenDefect) => (place ? `${title} (${place})` : title);
  const isOpen = ({ status }: OpenDefect) => status === 'open' || status === 'deferred';
  return {
    known: open.filter(isOpen).map((defect) => ({
      id: defect.id,
      key: defect.key,
      unitId: defect.unitId,
      title: titleOf(defect),
      grade: defect.grade,
      blocks: defect.blocks,
      words: defect.symptom,
    })),
    unread: open
      .filter((defect) => !isOpen(defect))
      .map((defect) => ({
        defectId: defect.id,
        unitId: defect.unitId,
        title: titleOf(defect),
        words: defect.outcomeWords ?? '',
      })),
  };
}
