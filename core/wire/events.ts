/** What became of one entry of a batch. */
export interface EventAnswer {
  readonly id: string;
  readonly status: 'stored' | 'duplicate' | 'refused';
  readonly code?: string;
  readonly detail?: string;
}
