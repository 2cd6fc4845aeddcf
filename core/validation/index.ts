export { findCatalogueFaults } from './catalogue-faults';
export { readCatalogueFile, toCatalogueFile, type CatalogueFile } from './catalogue-file';
export { findDepotContentFaults } from './depot-content-faults';
export { findPolicyFaults } from './policy-faults';
export { validateEvent, type Validated } from './validate-event';
export { sayFault } from './english';
export type { Fault } from './faults';
