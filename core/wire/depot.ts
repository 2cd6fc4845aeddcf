import type { DepotContent } from '../depot-content';
import type { Policy, PolicyChoice } from '../grading';

export interface Hold {
  readonly id: string;
  readonly unitId: string;
  readonly words: string;
  readonly at: string;
  readonly by: string;
}

export interface HouseRules {
  readonly choice: PolicyChoice;
  readonly policies: readonly Policy[];
  readonly own: readonly Policy[];
  readonly changes: readonly {
    readonly at: string;
    readonly what: 'policies' | 'policy-brought' | 'policy-taken-away' | 'content';
    readonly after: unknown;
    readonly by: string;
  }[];
  readonly retention: {
    readonly due: number;
    readonly soon: number;
    readonly kept: number;
    readonly removed: number;
    readonly next: string | null;
  };
  readonly holds: readonly Hold[];
}

export interface ContentVersion {
  readonly version: number;
  readonly at: string;
  readonly by: string;
  readonly words: string;
}

export interface ContentState {
  readonly content: DepotContent;
  /** Newest first. */
  readonly versions: readonly ContentVersion[];
}
