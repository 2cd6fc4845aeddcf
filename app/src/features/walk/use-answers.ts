import { LIST_SHORT } from '@nazar/core/catalogue';
import type { CountedItem } from '@nazar/core/inspection';
import type { CheckInstance } from '@nazar/core/rig';
import { dimension, transitionOf, type VehicleChange } from '@nazar/core/vehicle';
import { v7 as newId } from 'uuid';
import { type Walk, useWalkSession } from '@/state/walk';
import { judgeKept, type TypedReading } from './reading-sheet';
import type { Position } from './use-position';

interface AnswersRequest {
  readonly walk: Walk;
  readonly personId: string;
  readonly position: Position;
  readonly closeSheet: () => void;
  readonly onFault: (key: string, symptomId?: string) => void;
}

/** Done to one unit of the rig, not to the whole of it. */
function isOfUnit(change: VehicleChange): boolean {
  const rule = transitionOf(change);
  return rule !== undefined && dimension(rule.of).of === 'unit';
}

/** What a driver answers, written to the log before the screen moves on. */
export function useAnswers(request: AnswersRequest) {
  const { log } = useWalkSession();
  const { walk, personId, position, closeSheet, onFault } = request;
  const { inspection, assessment, rig, known } = walk;
  const { current } = position;
  const { key } = current;
  const inspectionId = inspection.id;
  const own = { inspectionId, actorId: personId };

  const answer = async (payload: {
    outcome: 'sound' | 'not-looked' | 'cleared';
    reason?: string;
  }) => {
    // What the check does has been done when it is called sound.
    const done = payload.outcome === 'sound' ? (current.check.does ?? []) : [];
    const entries = [
      ...done.map((change) => ({
        ...own,
        type: 'changed' as const,
        payload: { change, ...(isOfUnit(change) && { unitId: current.unit.id }) },
      })),
      { ...own, type: 'answered' as const, payload: { key, ...payload } },
    ];
    await log.append<'answered' | 'changed'>(entries, () => {
      closeSheet();
      if (payload.outcome !== 'cleared') position.moveOn(key);
    });
  };

  /** A fault that was named elsewhere than in its sheet: out of a limit, or a lamp that is dark. */
  const keepFault = (instance: CheckInstance, symptomId: string) =>
    log.append([
      {
        ...own,
        type: 'faulted',
        payload: {
          key: instance.key,
          symptomId,
          defectId: known.find((each) => each.key === instance.key)?.id ?? newId(),
          ...(instance.place && { spot: { x: instance.place.x, y: instance.place.y } }),
          photos: [],
        },
      },
    ]);

  /** A sequence was walked to its end: it is sound, or it leaves the vehicle as it may not roll. */
  const walkedThrough = async () => {
    const { leaves } = current.check;
    if (!leaves) {
      await answer({ outcome: 'sound' });
      return;
    }
    await keepFault(current, leaves);
    closeSheet();
  };

  /** What is open here since an earlier walk; it has its own life, which only the workshop ends. */
  const openHere = known.find((each) => each.key === key);
  const stillThere = async () => {
    const symptom = current.check.symptoms.find(({ id }) => id === openHere?.symptomId);
    // How much of it there is may have changed.
    if (!openHere || !symptom || symptom.scale) onFault(key, symptom?.id);
    else {
      await keepFault(current, symptom.id);
      position.moveOn(key);
    }
  };
  const looksRepaired = (words: string) =>
    openHere &&
    log.append<'answered' | 'annotated'>(
      [
        { ...own, type: 'annotated', payload: { defectId: openHere.id, words } },
        { ...own, type: 'answered', payload: { key, outcome: 'sound' } },
      ],
      () => position.moveOn(key),
    );

  const keepReading = async (reading: TypedReading) => {
    const before = assessment.byKey.get(key);
    const first =
      before?.state === 'again' && before.answer?.outcome === 'measured'
        ? before.answer.readings.map(({ value }) => value)
        : [];
    const kept = await log.append([
      { ...own, type: 'measured', payload: { key, ...reading, instrument: 'gauge' } },
    ]);
    if (!kept) return;
    const judged = judgeKept(current, [...first, reading.value], rig.combinationAir);
    // Too close to tell: the sheet stays for the second reading.
    if (judged?.outcome === 'again') return;
    closeSheet();
    const isOut = judged?.outcome === 'out' || judged?.outcome === 'no-limit';
    // A fault that was named stays named; the number stands beside it.
    const isNamed = before?.answer?.outcome === 'fault';
    // Out of a limit: stay, so that what follows from it is read.
    if (isOut && !isNamed) await keepFault(current, judged.symptom);
    else if (!isOut) position.moveOn(key);
  };

  const keepCount = async (items: readonly CountedItem[], complete: boolean) => {
    const counted = { ...own, type: 'counted' as const, payload: { key, items } };
    const sound = {
      ...own,
      type: 'answered' as const,
      payload: { key, outcome: 'sound' as const },
    };
    await log.append<'counted' | 'answered'>(complete ? [counted, sound] : [counted], () => {
      closeSheet();
      if (complete) position.moveOn(key);
      else onFault(key, LIST_SHORT);
    });
  };

  /** Each of these is sound: the rest of a stop, after its least time. */
  const soundTogether = (instances: readonly CheckInstance[]) =>
    log.append(
      instances.map((each) => ({
        ...own,
        type: 'answered' as const,
        payload: { key: each.key, outcome: 'sound' as const, together: true as const },
      })),
      () => position.moveOn(instances[instances.length - 1].key),
    );

  const soundOf = (instance: CheckInstance) =>
    log.append([{ ...own, type: 'answered', payload: { key: instance.key, outcome: 'sound' } }]);

  const acknowledge = (defectId: string) =>
    log.append([{ ...own, type: 'acknowledged', payload: { defectId } }]);

  return {
    walkedThrough,
    answer,
    stillThere,
    looksRepaired,
    keepFault,
    keepReading,
    keepCount,
    soundTogether,
    soundOf,
    acknowledge,
  };
}
