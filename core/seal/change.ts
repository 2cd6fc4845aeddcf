/** Something in a file that is not as it was sealed. */
export interface Change {
  /** `report.answers[17]`, `seal.signature`, `additions[0]` … */
  readonly path: string;
  /** What stands there, in words, where it can be said. */
  readonly words: string;
}
