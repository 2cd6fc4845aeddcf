import type { EventType, Payloads } from '@nazar/core/inspection';
import { useState } from 'react';
import { useWords } from '@/i18n';
import { ApiProblem } from '@/state';
import { useWalkSession, type NewEntry } from '@/state/walk';

/** `waiting`: kept on this device, and sent by itself as soon as the server can be reached. */
export type Sending = 'sent' | 'waiting' | 'refused';

/** Keeps an entry on this device, sends it, and says why when the server refused it. */
export function useSend(inspectionId: string, actorId: string) {
  const { log, uplink } = useWalkSession();
  const t = useWords();
  const [trouble, setTrouble] = useState<string>();
  const send = async <T extends EventType>(type: T, payload: Payloads[T]): Promise<Sending> => {
    setTrouble(undefined);
    const kept = await log.append<EventType>([
      { inspectionId, actorId, type, payload } as NewEntry<EventType>,
    ]);
    if (!kept) return 'refused';
    try {
      await uplink.send();
    } catch (error) {
      setTrouble(error instanceof ApiProblem ? error.detail : t('trouble.unexpected'));
      return 'refused';
    }
    if (await uplink.isWaiting(inspectionId)) return 'waiting';
    const refusal = await uplink.refusalOf(inspectionId);
    setTrouble(refusal);
    return refusal === undefined ? 'sent' : 'refused';
  };
  return { send, trouble };
}
