import { v5 as uuidFromName } from 'uuid';

/** Ids that are the same at every rebuild of the demo. */
const NAMESPACE = 'b1d0a1d2-6a5e-5a0c-8f6f-1f2f3a4b5c6d';
export const demoId = (name: string) => uuidFromName(name, NAMESPACE);
