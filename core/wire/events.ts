import type { RefusalCode } from './refusals';

/** What became of one entry of a batch. */
export type EventAnswer =
  | { readonly id: string; readonly status: 'stored' | 'duplicate' }
  | {
      readonly id: string;
      readonly status: 'refused';
      readonly code: RefusalCode;
      /** A sentence a driver can act on. */
      readonly detail: string;
    };
