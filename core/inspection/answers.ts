import type { Check } from '../catalogue';
import type { AnsweredPayload, FaultedPayload, MeasuredPayload } from './payloads';

export interface Stamp {
  readonly eventId: string;
  readonly actorId: string;
  /** Milliseconds since 1970. */
  readonly at: number;
  /** Its place in the log, which a clock that was set back does not turn round. */
  readonly order?: number;
}

export type Answer = Stamp &
  (
    | { readonly outcome: 'sound'; readonly together?: true }
    | { readonly outcome: 'not-looked'; readonly reason: string }
    | { readonly outcome: 'measured'; readonly readings: readonly (MeasuredPayload & Stamp)[] }
    | {
        readonly outcome: 'fault';
        /** The last one that was said. */
        readonly fault: FaultedPayload;
        /** What others have said of the same check; the worse of all counts. */
        readonly others?: readonly Reported[];
        readonly readings: readonly (MeasuredPayload & Stamp)[];
      }
  );

/** A fault, who said it and when. */
export type Reported = Stamp & { readonly fault: FaultedPayload };

/** Every fault that was said of one check, the last one first. */
export function reportsOf(answer: Answer | undefined): readonly Reported[] {
  return answer?.outcome === 'fault' ? [answer, ...(answer.others ?? [])] : [];
}

export function faultsOf(answer: Answer | undefined): readonly FaultedPayload[] {
  return reportsOf(answer).map(({ fault }) => fault);
}

/** Whether the driver has put it right on the spot: what was done is one of the fixes of this very symptom. */
export function isMended({ symptoms }: Check, { symptomId, fixed }: FaultedPayload): boolean {
  const fixes = symptoms.find(({ id }) => id === symptomId)?.fixes ?? [];
  return fixed !== undefined && fixes.includes(fixed);
}

/** One person on one device. They correct themselves; nobody else's word is taken back by theirs. */
export interface Speaker {
  readonly actorId: string;
  readonly deviceId: string;
}

const nameOf = ({ actorId, deviceId }: Speaker) => `${actorId} ${deviceId}`;

/** What everybody has said of one check, and what follows from all of it: the worse counts, on every device. */
export class Said {
  private readonly bySpeaker = new Map<string, Answer>();

  /** A reading of one who has reported a fault stands beside it; it never takes its place. */
  measured(payload: MeasuredPayload, stamp: Stamp, speaker: Speaker): void {
    const before = this.bySpeaker.get(nameOf(speaker));
    const reading = { ...payload, ...stamp };
    if (before?.outcome === 'fault')
      this.set(speaker, { ...before, readings: [...before.readings, reading] });
    else
      this.set(speaker, {
        outcome: 'measured',
        readings: before?.outcome === 'measured' ? [...before.readings, reading] : [reading],
        ...stamp,
      });
  }

  faulted(fault: FaultedPayload, stamp: Stamp, speaker: Speaker): void {
    const before = this.bySpeaker.get(nameOf(speaker));
    const readings =
      before?.outcome === 'measured' || before?.outcome === 'fault' ? before.readings : [];
    this.set(speaker, { outcome: 'fault', fault, readings, ...stamp });
  }

  answered({ outcome, reason, together }: AnsweredPayload, stamp: Stamp, speaker: Speaker): void {
    if (outcome === 'cleared') {
      // One's own word, on whichever device it was said.
      for (const [name, { actorId }] of this.bySpeaker)
        if (actorId === speaker.actorId) this.bySpeaker.delete(name);
    } else if (outcome === 'sound')
      this.set(speaker, { outcome, ...(together && { together }), ...stamp });
    else this.set(speaker, { outcome, reason: reason ?? '', ...stamp });
  }

  /** A fault before a reading, a reading before a word; of words that say nothing bad the last. */
  together(): Answer | undefined {
    if (this.isOfOne) for (const only of this.bySpeaker.values()) return only;
    const all = [...this.bySpeaker.values()].sort((a, b) => (a.order ?? 0) - (b.order ?? 0));
    const last = all.at(-1);
    if (all.length < 2) return last;
    const readings = all
      .flatMap((each) => ('readings' in each ? each.readings : []))
      .sort((a, b) => (a.order ?? 0) - (b.order ?? 0));
    const faults = all.filter((each) => each.outcome === 'fault').reverse();
    if (faults.length > 0) {
      const [{ others: _, ...latest }, ...before] = faults;
      const others = before.map(({ readings: _, others: __, outcome: ___, ...each }) => each);
      return { ...latest, readings, ...(others.length > 0 && { others }) };
    }
    const measured = all.filter((each) => each.outcome === 'measured').at(-1);
    return measured ? { ...measured, readings } : last;
  }

  /** Whether one speaker alone has a word here. */
  get isOfOne(): boolean {
    return this.bySpeaker.size === 1;
  }

  /** What this speaker says now. */
  of(speaker: Speaker): Answer | undefined {
    return this.bySpeaker.get(nameOf(speaker));
  }

  private set(speaker: Speaker, answer: Answer): void {
    this.bySpeaker.set(nameOf(speaker), answer);
  }
}
