import { faultLine } from '@nazar/core/catalogue';
import type { Inspection, Stamp } from '@nazar/core/inspection';
import type { Addition } from '@nazar/core/report';
import type { Knex } from 'knex';
import { photoHashes } from '../store/photos';
import { ownId } from './own-ids';

/** Where the additions of a walk go: the report of each unit, by the unit's id. */
export type ReportOf = ReadonlyMap<string, string>;

const iso = (milliseconds: number) => new Date(milliseconds).toISOString();

/** Everything that was added to a walk after its signature, each for the report that it belongs to. */
export async function listAdditions(
  trx: Knex,
  inspection: Inspection,
  reportOf: ReportOf,
): Promise<Addition[]> {
  const defects = await trx('defects')
    // Also what another walk had found before: the repair belongs to the reports of both.
    .whereIn(
      'id',
      trx('defect_reports').where({ inspection_id: inspection.id }).select('defect_id'),
    )
    .orWhere({ inspection_id: inspection.id })
    .select(
      'id',
      'inspection_id',
      'unit_id',
      'acknowledged_at',
      'acknowledged_by',
      'title',
      'place',
      'symptom',
      'grade',
    );
  const foundWords = new Map(
    defects.map((row) => [
      row.id as string,
      `${faultLine(row.title, row.place, row.symptom)}: ${row.grade}`,
    ]),
  );
  const unitOfDefect = new Map(defects.map((row) => [row.id as string, row.unit_id as string]));
  const hashes = inspection.work.length > 0 ? await photoHashes(trx, inspection.id) : new Map();
  const by = await findPeople(trx, inspection, defects);
  const all = [...new Set(reportOf.values())];
  const ofUnit = (unitId: string | undefined) =>
    unitId !== undefined && reportOf.has(unitId) ? [reportOf.get(unitId) as string] : [];
  const ofDefect = (id: string) => ofUnit(unitOfDefect.get(id));
  const toAll = (
    entry: Stamp,
    reports: readonly string[],
    rest: Omit<Addition, 'id' | 'report' | 'at' | 'by'>,
  ): Addition[] =>
    reports.map((report, index) => ({
      id: index === 0 ? entry.eventId : ownId(`${entry.eventId} ${report}`),
      report,
      at: iso(entry.at),
      by: by(entry.actorId),
      ...rest,
      // Drawn by hand; the name is the one that the server knows the signer by, whatever the device wrote.
      ...(rest.signature && { signature: { ...rest.signature, name: by(entry.actorId).name } }),
    }));
  const signedAt = inspection.signed?.at ?? Infinity;
  const { released, signedOut, returned } = inspection;
  const lists: Addition[][] = [
    ...inspection.certifications.map((each) =>
      toAll(each, ofDefect(each.defectId), {
        kind: 'certified',
        defect: each.defectId,
        outcome: each.outcome,
        words: each.words,
        ...(each.until && { until: each.until }),
        signature: each.signature,
      }),
    ),
    ...inspection.countersignatures.map((each) =>
      toAll(each, ofDefect(each.defectId), {
        kind: 'countersigned',
        defect: each.defectId,
        signature: each.signature,
      }),
    ),
    ...inspection.work.map((each) =>
      toAll(each, ofDefect(each.defectId), {
        kind: 'worked',
        defect: each.defectId,
        words: each.words,
        ...(each.minutes && { minutes: each.minutes }),
        parts: each.parts,
        photos: each.photos.map((photo) => {
          const sha256 = hashes.get(photo.id) as string | undefined;
          return { ...photo, ...(sha256 && { sha256 }) };
        }),
      }),
    ),
    ...[...inspection.overrides.values()].map((each) =>
      toAll(each, ofUnit(each.about.split('/')[0]).concat(ofDefect(each.about)).slice(0, 1), {
        kind: 'overridden',
        about: each.about,
        words: each.words,
        signature: each.signature,
      }),
    ),
    ...inspection.annotations
      .filter((note) => note.at >= signedAt)
      .map((note) =>
        toAll(note, note.defectId ? ofDefect(note.defectId) : all, {
          kind: 'annotated',
          ...(note.defectId && { defect: note.defectId }),
          words: note.words,
        }),
      ),
    ...[...inspection.lookedAgain.values()].map((each) =>
      toAll(each, ofUnit(each.about.split('/')[0]).concat(ofDefect(each.about)).slice(0, 1), {
        kind: 'looked-again',
        about: each.about,
        ...(each.words && { words: each.words }),
      }),
    ),
    released
      ? toAll(released, all, {
          kind: 'released',
          words: released.words,
          signature: released.signature,
        })
      : [],
    signedOut
      ? toAll(signedOut, all, {
          kind: 'signed-out',
          outcome: signedOut.purpose,
          needs: signedOut.needs,
          conditions: signedOut.conditions,
          ...(signedOut.title && { words: signedOut.title }),
        })
      : [],
    returned
      ? toAll(returned, all, {
          kind: 'returned',
          ...(returned.words && { words: returned.words }),
        })
      : [],
    ...inspection.found.map((each) =>
      toAll(each, ofUnit(each.key.split('/')[0]), {
        kind: 'found',
        defect: each.defectId,
        about: each.key,
        words: foundWords.get(each.defectId) ?? each.symptomId,
      }),
    ),
    defects
      .filter((row) => row.acknowledged_at)
      .flatMap((row) =>
        ofDefect(row.id).map((report): Addition => ({
          id: ownId(
            row.inspection_id === inspection.id
              ? `acknowledged ${row.id}`
              : `acknowledged ${row.id} ${report}`,
          ),
          kind: 'acknowledged',
          report,
          at: (row.acknowledged_at as Date).toISOString(),
          by: by(row.acknowledged_by),
          defect: row.id,
        })),
      ),
  ];
  return lists.flat();
}

async function findPeople(
  trx: Knex,
  inspection: Inspection,
  defects: readonly { acknowledged_by: string | null }[],
) {
  const stamps: readonly (Stamp | undefined)[] = [
    ...inspection.certifications,
    ...inspection.countersignatures,
    ...inspection.work,
    ...inspection.overrides.values(),
    ...inspection.annotations,
    ...inspection.found,
    inspection.released,
    inspection.signedOut,
    inspection.returned,
  ];
  const ids = [
    ...stamps.flatMap((stamp) => stamp?.actorId ?? []),
    ...defects.flatMap((row) => row.acknowledged_by ?? []),
  ];
  const people = await trx('people').whereIn('id', ids).select('id', 'name');
  return (id: string) => ({ id, name: people.find((each) => each.id === id)?.name ?? '' });
}
