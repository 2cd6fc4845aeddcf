export { findCatalogueFaults } from './catalogue-faults';
export { payloadSchemas, plainText, uuid } from './event-schema';
export { findPolicyFaults } from './policy-faults';
export { validateEvent, type Validated } from './validate-event';
