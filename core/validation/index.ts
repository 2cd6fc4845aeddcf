export { findCatalogueFaults } from './catalogue-faults';
export {
  CATALOGUE_FORMAT,
  readCatalogueFile,
  toCatalogueFile,
  type CatalogueFile,
} from './catalogue-file';
export { findHouseFaults } from './house-faults';
export { findPolicyFaults } from './policy-faults';
export { payloadSchemas, validateEvent, type Validated } from './validate-event';
