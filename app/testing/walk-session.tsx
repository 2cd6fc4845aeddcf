import type { ReactNode } from 'react';
import type { NewEntry } from '../src/state/log';
import { WalkSessionProvider, type WalkSession } from '../src/state/walk/session';

interface Settings {
  /** Whether entries can be kept. */
  readonly keeps?: () => boolean;
  readonly now?: () => number;
}

/** A session of the test's own: what is entered stands in a list, and its clock is the test's. */
export function sessionOf({ keeps = () => true, now = () => Date.now() }: Settings = {}) {
  const entries: NewEntry<never>[] = [];
  const session: WalkSession = {
    log: {
      use: (() => undefined) as unknown as WalkSession['log']['use'],
      append: (added, onKept) => {
        if (keeps()) {
          entries.push(...(added as NewEntry<never>[]));
          onKept?.();
        }
        return Promise.resolve(keeps());
      },
    },
    clock: { now },
    reference: { use: (() => undefined) as unknown as WalkSession['reference']['use'] },
    uplink: {
      send: () => Promise.resolve(),
      refusalOf: () => Promise.resolve(undefined),
      isWaiting: () => Promise.resolve(false),
    },
  };
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <WalkSessionProvider value={session}>{children}</WalkSessionProvider>
  );
  return { entries, wrapper };
}
