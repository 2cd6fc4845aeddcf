export { findCatalogueFaults } from './catalogue-faults';
export {
  CATALOGUE_FORMAT,
  readCatalogueFile,
  toCatalogueFile,
  type CatalogueFile,
} from './catalogue-file';
export { findHouseFaults } from './house-faults';
export { isStorable, payloadSchemas, plainText, rigUnits, uuid } from './event-schema';
export { findPolicyFaults } from './policy-faults';
export { validateEvent, type Validated } from './validate-event';
