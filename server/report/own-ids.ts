import { v5 as uuidFromName } from 'uuid';

/** Makes ids of what the server adds by itself the same at every try. */
const OWN_NAMESPACE = '6f1f6f0e-7f0a-5d3b-9b52-3d2e9d1c8a11';

export const ownId = (name: string) => uuidFromName(name, OWN_NAMESPACE);

/** The report of a unit. That of the first unit carries the id of its inspection, so that a phone knows it before the seal. */
export function reportIdsOf(
  inspectionId: string,
  unitIds: readonly string[],
): ReadonlyMap<string, string> {
  return new Map(
    unitIds.map((unitId, index) => [
      unitId,
      index === 0 ? inspectionId : ownId(`report ${inspectionId} ${unitId}`),
    ]),
  );
}
