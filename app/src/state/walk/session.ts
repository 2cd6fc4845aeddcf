import type { EventType } from '@nazar/core/inspection';
import { createContext, useContext } from 'react';
import { appendEntries, isLastWaiting, lastRefusal, useLog, type NewEntry } from '../log';
import { useReference } from '../reference';
import { syncNow } from '../sync';
import { timeNow } from '../time-now';

/**
 * What a walk is walked with. A phone in the yard has its own log, clock, depot and line to the server; whoever practises or tests
 * gives the same screens others.
 */
export interface WalkSession {
  readonly log: {
    /** The logs of walks, as a hook of what is asked of them. */
    readonly use: typeof useLog;
    /**
     * Keeps entries; only then may a screen move on.
     * @param onKept the step on the screen that follows, drawn together with the new state
     * @returns whether they were kept; when not, the line about saving says why and what was typed is still there
     */
    readonly append: <T extends EventType>(
      entries: readonly NewEntry<T>[],
      onKept?: () => void,
    ) => Promise<boolean>;
  };
  readonly clock: {
    /** The moment that an entry made now would be stamped with, milliseconds since 1970. */
    readonly now: () => number;
  };
  readonly reference: {
    /** What is known of the depot, as a hook of what is asked of it. */
    readonly use: typeof useReference;
  };
  readonly uplink: {
    /** Sends what waits; ends when it was tried. */
    readonly send: () => Promise<void>;
    /** The sentence with which the server refused the newest entry of a walk; undefined when it did not. */
    readonly refusalOf: (inspectionId: string) => Promise<string | undefined>;
    /** Whether the newest entry of a walk is still on this device only. */
    readonly isWaiting: (inspectionId: string) => Promise<boolean>;
  };
}

/** This device in the yard. */
const ofThisDevice: WalkSession = {
  log: { use: useLog, append: appendEntries },
  clock: { now: timeNow },
  reference: { use: useReference },
  uplink: { send: syncNow, refusalOf: lastRefusal, isWaiting: isLastWaiting },
};

const WalkSessionContext = createContext(ofThisDevice);

/** Gives the screens below it another log, clock, depot or line than those of this device. */
export const WalkSessionProvider = WalkSessionContext.Provider;

export const useWalkSession = (): WalkSession => useContext(WalkSessionContext);
