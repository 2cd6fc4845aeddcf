import type { SignedInPerson } from '@nazar/core/wire';
import { create } from 'zustand';
import { ApiProblem, callApi, callJson } from './api';
import { keepValue, readValue } from './database';
import { serverReads } from './server-reads';

interface SessionState {
  /** Undefined until the device's database was read. */
  readonly person: SignedInPerson | null | undefined;
  /** The server asks to sign in again before it takes anything. */
  readonly expired: boolean;
  readonly load: () => Promise<void>;
  readonly signIn: (name: string, pin: string) => Promise<void>;
  readonly signOut: () => Promise<void>;
  readonly setExpired: (expired: boolean) => void;
}

const PERSON = 'person';

/** Who is signed in on this device. It outlives the server's session, so that work goes on offline. */
export const useSession = create<SessionState>((set) => ({
  person: undefined,
  expired: false,
  load: async () => {
    set({ person: (await readValue<SignedInPerson>(PERSON)) ?? null });
  },
  signIn: async (name, pin) => {
    const { person } = await callJson<{ person: SignedInPerson }>('/session', {
      method: 'POST',
      json: { name, pin },
    });
    await keepValue(PERSON, person);
    // What the former person could read is not the next one's.
    serverReads.clear();
    set({ person, expired: false });
  },
  signOut: async () => {
    await keepValue(PERSON, null);
    serverReads.clear();
    set({ person: null, expired: false });
    try {
      await callApi('/session', { method: 'DELETE' });
    } catch (error) {
      // Without a network the server's session runs out by itself.
      if (!(error instanceof ApiProblem)) throw error;
    }
  },
  setExpired: (expired) => set({ expired }),
}));
