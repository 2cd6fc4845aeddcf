import type { Catalogue } from '@nazar/core/catalogue';
import type { Policy, PolicyChoice } from '@nazar/core/grading';
import { AS_SHIPPED, type DepotContent } from '@nazar/core/depot-content';
import type { AnyEvent, BegunPayload } from '@nazar/core/inspection';
import type { DefectOnUnit } from '@nazar/core/repair';
import type { Knex } from 'knex';
import { catalogueOf } from './catalogue-versions';
import { contentOf } from './depot-contents';
import type { DepotUnit } from './units';

export interface OpenedInspection {
  readonly log: readonly AnyEvent[];
  /** Unit of each defect that the entries name and that somebody has named before. */
  readonly unitOfDefect: ReadonlyMap<string, string>;
  /** Of the rig, front to rear; those of another organisation are simply not there. */
  readonly units: readonly DepotUnit[];
  /** Open or unread on them. */
  readonly defects: readonly DefectOnUnit[];
  readonly rules: Rules;
  /** Former repairs on the parts that are found faulty now. */
  readonly repairs: readonly FormerRepair[];
}

export interface FormerRepair {
  readonly defectId: string;
  readonly key: string;
  /** Milliseconds. */
  readonly certifiedAt: number;
  /** Metres, where it was read. */
  readonly odometer?: number;
}

/** What the depot of the first unit grades by, as it stands now. */
export interface Rules {
  readonly choice: PolicyChoice | undefined;
  /** Policies that the organisation brought itself. */
  readonly own: readonly Policy[];
  /** Of the version that the walk was begun by; undefined when this server never had that. */
  readonly catalogue: Catalogue | undefined;
  /** What the depot changed of the catalogue, in the version that the walk was begun by; undefined when it never had that. */
  readonly content: DepotContent | undefined;
}

type Begun = Pick<BegunPayload, 'unitIds' | 'catalogueVersion' | 'houseVersion'>;

/** As the database tells it; times in milliseconds. */
type OpenDefect = Omit<DefectOnUnit, 'reportedAt'> & { readonly reportedAt: number };

/**
 * Names the organisation of this transaction, becomes the only writer of the inspection until
 * it ends, and reads all that is needed to take entries in: one trip to the database.
 * @param asked what its beginning says, used while the log does not have it yet
 * @param faulted keys of the checks whose former repairs matter
 * @param named ids of defects that the entries name
 */
export async function openInspection(
  trx: Knex.Transaction,
  organisationId: string,
  inspectionId: string,
  asked?: Begun,
  faulted: readonly string[] = [],
  named: readonly string[] = [],
): Promise<OpenedInspection> {
  const { rows } = await trx
    .raw('select open_inspection(?, ?, ?::uuid[], ?::text[], ?::uuid[]) as opened', [
      organisationId,
      inspectionId,
      [...(asked?.unitIds ?? [])],
      [...faulted],
      [...named],
    ] as never)
    .options({ name: 'open-inspection' });
  const {
    log,
    named: unitOf,
    units,
    open,
    choice,
    own,
    repairs,
  } = rows[0].opened as {
    log: AnyEvent[];
    named: Readonly<Record<string, string>>;
    units: DepotUnit[];
    open: OpenDefect[];
    choice: PolicyChoice | null;
    own: Policy[];
    repairs: (Omit<FormerRepair, 'odometer'> & { odometer: number | null })[];
  };
  const begun = (log.find(({ type }) => type === 'begun')?.payload as Begun | undefined) ?? asked;
  const version = begun?.houseVersion ?? 0;
  const content =
    version > 0 && units.length > 0 ? await contentOf(trx, units[0].depotId, version) : AS_SHIPPED;
  const catalogue = begun && (await catalogueOf(trx, begun.catalogueVersion));
  return {
    log,
    unitOfDefect: new Map(Object.entries(unitOf)),
    // A card that was kept before cards had a structure has none.
    units: units.map(({ card, ...unit }) => (card ? { ...unit, card } : unit)),
    defects: open.map((each) => ({ ...each, reportedAt: new Date(each.reportedAt).toISOString() })),
    rules: { choice: choice ?? undefined, own, content, catalogue },
    repairs: repairs.map((each) => ({ ...each, odometer: each.odometer ?? undefined })),
  };
}

/** Walks of a depot that were begun within half a day and are not signed. */
export async function listOpenWalks(
  trx: Knex,
  depotId: string,
): Promise<{ readonly id: string; readonly driverId: string; readonly driver: string }[]> {
  const rows = await trx('inspections')
    .join('people', 'people.id', 'inspections.driver_id')
    .where('inspections.depot_id', depotId)
    .whereNull('signed_at')
    .where('begun_at', '>', trx.raw(`now() - interval '12 hours'`))
    .select('inspections.id', 'driver_id', 'people.name');
  return rows.map((row) => ({ id: row.id, driverId: row.driver_id, driver: row.name }));
}
