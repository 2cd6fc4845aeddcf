export { findCatalogueFaults } from './catalogue-faults';
export { readCatalogueFile, toCatalogueFile, type CatalogueFile } from './catalogue-file';
export { findHouseFaults } from './house-faults';
export { findPolicyFaults } from './policy-faults';
export { validateEvent, type Validated } from './validate-event';
