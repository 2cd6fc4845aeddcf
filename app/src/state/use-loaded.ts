import { useCallback, useEffect, useState } from 'react';
import { ApiProblem, OFFLINE } from './api';

/** Something that is read from the server for a screen; `trouble` is a code or a sentence. */
export interface Loaded<T> {
  readonly value: T | undefined;
  readonly trouble: 'offline' | { readonly sentence: string } | undefined;
  readonly reload: () => void;
}

/** Reads when the screen opens and whenever it is asked to; an older answer never replaces a newer one. */
export function useLoaded<T>(read: () => Promise<T>): Loaded<T> {
  const [value, setValue] = useState<T>();
  const [trouble, setTrouble] = useState<Loaded<T>['trouble']>();
  const [round, setRound] = useState(0);
  useEffect(() => {
    let gone = false;
    read().then(
      (found) => {
        if (gone) return;
        setValue(found);
        setTrouble(undefined);
      },
      (error: unknown) => {
        if (!(error instanceof ApiProblem)) throw error;
        if (!gone) setTrouble(error.code === OFFLINE ? 'offline' : { sentence: error.detail });
      },
    );
    return () => {
      gone = true;
    };
  }, [read, round]);
  const reload = useCallback(() => setRound((before) => before + 1), []);
  return { value, trouble, reload };
}
