import { LIST_SHORT } from '@nazar/core/catalogue';
import type { CountedItem } from '@nazar/core/inspection';
import type { Stop } from '@nazar/core/planning';
import { unitFor } from '@nazar/core/quantity';
import { v7 as newId } from 'uuid';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Pressable, ScrollView, Text, useWindowDimensions, View } from 'react-native';
import { Body, Button, Heading, SignalWords, Soft, useStable, type BeadState } from '@/design';
import { RigDrawing, toBeads } from '@/drawing';
import { useWords } from '@/i18n';
import {
  appendEntries,
  knownDefects,
  listDrafts,
  unreadRepairs,
  useHabit,
  useReference,
  weakSpotAt,
  type Walk,
} from '@/state';
import { Progress, StopCautions } from './board-parts';
import { CannotSheet } from './cannot-sheet';
import { CheckList } from './check-list';
import { CountSheet } from './count-sheet';
import { Dock } from './dock';
import { KeysSheet } from './keys-sheet';
import { ProcedureSheet } from './procedure-sheet';
import { ReadingSheet, judgeKept, type TypedReading } from './reading-sheet';
import { RepairsSheet } from './repairs';
import { openInStop, stateOfStop } from './states';
import { StopList, StopsSheet } from './stops-sheet';
import { useKeys } from './use-keys';
import { usePosition } from './use-position';
import type { WalkScreenProps } from './walk-screen';

interface WalkBoardProps extends WalkScreenProps {
  readonly walk: Walk;
  readonly personId: string;
}

type OpenSheet =
  'count' | 'cycle' | 'reading' | 'cannot' | 'stops' | 'repairs' | 'keys' | undefined;

/** One stop at a time: the rig with the way round it, the checks from here, the present one at the thumb. */
export function WalkBoard(props: WalkBoardProps) {
  const { walk, personId, onFault, onVerdict, onLeave } = props;
  const t = useWords();
  const { width } = useWindowDimensions();
  const wide = width >= 900;
  const reference = useReference((state) => state.reference);
  const habit = useHabit();
  const { inspection, assessment, rig, stops } = walk;
  const position = usePosition(walk, props.at);
  const { stop, stopIndex, current } = position;
  const unitIds = inspection.begun?.unitIds ?? [];
  const repairs = unreadRepairs(reference, unitIds).filter(
    ({ defectId }) => !inspection.acknowledged.has(defectId),
  );
  const [sheet, setSheet] = useState<OpenSheet>(repairs.length > 0 ? 'repairs' : undefined);
  const [drafts, setDrafts] = useState<readonly string[]>([]);
  useEffect(() => {
    void listDrafts(inspection.id).then(setDrafts);
  }, [inspection.id]);
  const close = useCallback(() => setSheet(undefined), []);
  const inspectionId = inspection.id;
  const key = current.key;

  const answer = async (payload: {
    outcome: 'sound' | 'not-looked' | 'cleared';
    reason?: string;
  }) => {
    await appendEntries(
      [{ inspectionId, actorId: personId, type: 'answered', payload: { key, ...payload } }],
      () => {
        setSheet(undefined);
        if (payload.outcome !== 'cleared') position.moveOn(key);
      },
    );
  };

  const keepReading = async (reading: TypedReading) => {
    const measured = {
      inspectionId,
      actorId: personId,
      type: 'measured' as const,
      payload: { key, ...reading, instrument: 'gauge' as const },
    };
    const before = assessment.byKey.get(key);
    const first =
      before?.state === 'again' && before.answer?.outcome === 'measured'
        ? before.answer.readings.map(({ value }) => value)
        : [];
    const kept = await appendEntries([measured]);
    if (!kept) return;
    const judged = judgeKept(current, [...first, reading.value], rig.combinationAir);
    // Too close to tell: the sheet stays for the second reading.
    if (judged?.outcome === 'again') return;
    setSheet(undefined);
    if (judged?.outcome === 'out' || judged?.outcome === 'no-limit') {
      await appendEntries([
        {
          inspectionId,
          actorId: personId,
          type: 'faulted',
          payload: {
            key,
            symptomId: judged.symptom,
            defectId:
              knownDefects(reference, unitIds, inspectionId).find((each) => each.key === key)?.id ??
              newId(),
            ...(current.place && { spot: { x: current.place.x, y: current.place.y } }),
            photos: [],
          },
        },
      ]);
      // Out of a limit: stay, so that what follows from it is read.
      return;
    }
    position.moveOn(key);
  };

  const keepCount = async (items: readonly CountedItem[], complete: boolean) => {
    const own = { inspectionId, actorId: personId };
    const counted = { ...own, type: 'counted' as const, payload: { key, items } };
    const sound = {
      ...own,
      type: 'answered' as const,
      payload: { key, outcome: 'sound' as const },
    };
    await appendEntries<'counted' | 'answered'>(complete ? [counted, sound] : [counted], () => {
      setSheet(undefined);
      if (complete) position.moveOn(key);
      else onFault(key, LIST_SHORT);
    });
  };

  const acknowledge = async (defectId: string) => {
    const kept = await appendEntries([
      { inspectionId, actorId: personId, type: 'acknowledged', payload: { defectId } },
    ]);
    if (kept && repairs.length === 1) setSheet(undefined);
  };

  const assessed = assessment.byKey.get(key);
  const openHere = openInStop(walk, stop);
  const stateOf = useCallback(
    (each: string): BeadState => assessment.byKey.get(each)?.state ?? 'unanswered',
    [assessment],
  );
  const isWeak = useCallback(
    (each: string) => weakSpotAt(reference, each) !== undefined,
    [reference],
  );
  const stopStates = stops.map((each) => stateOfStop(walk, each)).join(' ');
  // The drawing changes only when a stop does, not with every answer.
  const beads = useMemo(() => {
    const states = stopStates.split(' ') as BeadState[];
    return toBeads(stops, (_, index) => states[index]);
  }, [stops, stopStates]);
  const last = reference?.lastReadings.find((reading) => reading.key === key);
  const reading = current.check.reading;
  const canAnswer = assessed?.state === 'unanswered' || assessed?.state === 'again';
  const goOn = () =>
    stopIndex < stops.length - 1 ? position.goToStop(stopIndex + 1) : onVerdict();

  const counts = current.contents !== undefined;
  const onSound = useStable(() => (counts ? setSheet('count') : void answer({ outcome: 'sound' })));
  const onCycleGood = useStable(() => void answer({ outcome: 'sound' }));
  const onTakeBack = useStable(() => void answer({ outcome: 'cleared' }));
  const onFaultHere = useStable(() => onFault(key));
  const openCannot = useStable(() => setSheet('cannot'));
  const openReading = useStable(() => setSheet('reading'));
  const openStops = useStable(() => setSheet('stops'));
  const openCycle = useStable(() => setSheet('cycle'));
  const procedure = rig.units
    .find(({ unit }) => unit.id === current.unit.id)
    ?.module.procedures.find((each) => each.check === current.check.id);
  const { x, y } = current;
  const spot = useMemo(() => ({ x, y }), [x, y]);
  const weak = useMemo(
    () => rig.instances.filter((each) => weakSpotAt(reference, each.key) !== undefined),
    [rig, reference],
  );

  useKeys(
    {
      s: () => canAnswer && !reading?.required && onSound(),
      ' ': () => canAnswer && !reading?.required && onSound(),
      f: () => onFault(key),
      c: () => canAnswer && setSheet('cannot'),
      m: () => reading && setSheet('reading'),
      u: () => !canAnswer && void answer({ outcome: 'cleared' }),
      ArrowDown: () => position.step(1),
      ArrowUp: () => position.step(-1),
      ArrowRight: goOn,
      ArrowLeft: () => position.goToStop(stopIndex - 1),
      '?': () => setSheet('keys'),
    },
    sheet === undefined,
  );

  if (!assessed) return null;
  const map = (
    <RigDrawing
      rig={rig}
      label={t('walk.drawing', { count: stops.length })}
      stops={beads}
      way={walk.stale ? undefined : walk.way}
      currentStop={stop.key}
      spot={spot}
      weak={weak}
    />
  );
  const next = stops[stopIndex + 1];
  const stopList = {
    stops,
    currentKey: stop.key,
    stateOf: (each: Stop) => stateOfStop(walk, each),
    openOf: (each: Stop) => openInStop(walk, each),
    onChoose: (index: number) => {
      position.goToStop(index);
      close();
    },
  };
  return (
    <View role="main" className="h-full flex-1 bg-ground">
      <View className="mx-auto w-full max-w-[1280px] flex-row items-center justify-between px-2">
        <Button look="quiet" title={t('walk.leave')} onPress={onLeave} />
        <Text className="shrink font-head text-lg text-ink">
          {rig.units.map(({ unit }) => unit.number).join(' + ')} ·{' '}
          {t('walk.progress', { done: assessment.answered, total: assessment.total })}
        </Text>
        <Button look="quiet" title={t('walk.stops')} onPress={openStops} />
      </View>
      <Progress share={assessment.answered / assessment.total} />
      <View className={`mx-auto w-full max-w-[1280px] flex-1 ${wide ? 'flex-row' : ''}`}>
        <View className={wide ? 'w-[46%] p-4' : 'px-2 pt-1'}>
          {map}
          {wide ? (
            <ScrollView className="mt-3 min-h-0 flex-1" contentContainerClassName="gap-2 p-1">
              {stop.zone.cautions?.map((caution) => (
                <SignalWords key={caution.words} caution={caution} />
              ))}
              <StopList {...stopList} />
            </ScrollView>
          ) : null}
        </View>
        <View className="min-h-0 flex-1">
          <View className="px-4 pb-1 pt-1">
            <Soft>
              {t('walk.stop', { number: stopIndex + 1, of: stops.length })} ·{' '}
              {stop.zone.unit.number}
            </Soft>
            <Heading level={1} className="text-3xl">
              {stop.zone.title}
            </Heading>
          </View>
          {walk.stale ? <Body className="px-4">{t('plan.stale')}</Body> : null}
          {wide || openHere < stop.instances.length ? null : (
            <StopCautions cautions={stop.zone.cautions ?? []} stopKey={stop.key} />
          )}
          <CheckList
            instances={stop.instances}
            currentKey={key}
            stateOf={stateOf}
            isWeak={isWeak}
            onChoose={position.goToCheck}
          />
          <Dock
            assessed={assessed}
            last={last}
            unitOfHabit={reading && unitFor(reading.kind, habit)}
            known={
              knownDefects(reference, unitIds, inspectionId).find((each) => each.key === key)?.words
            }
            repaired={
              reference?.defects.find((each) => each.key === key && each.outcomeWords)
                ?.outcomeWords ?? undefined
            }
            weak={weakSpotAt(reference, key)}
            hasDraft={drafts.includes(key)}
            onPlay={procedure && openCycle}
            onward={
              openHere > 0
                ? { to: 'check', title: t('walk.nextCheck'), go: () => position.moveOn(key) }
                : {
                    to: 'stop',
                    title: next ? t('walk.toStop', { stop: next.zone.title }) : t('walk.finish'),
                    go: goOn,
                  }
            }
            onSound={onSound}
            onFault={onFaultHere}
            onCannot={openCannot}
            onMeasure={openReading}
            onTakeBack={onTakeBack}
          />
        </View>
      </View>
      {sheet === 'reading' ? (
        <ReadingSheet
          key={`${key} ${assessed.state}`}
          instance={current}
          habit={habit}
          combinationAir={rig.combinationAir}
          last={last}
          first={
            assessed.state === 'again' && assessed.answer?.outcome === 'measured'
              ? assessed.answer.readings[0].value
              : undefined
          }
          onKeep={(typed) => void keepReading(typed)}
          onClose={close}
        />
      ) : null}
      {sheet === 'cycle' && procedure ? (
        <ProcedureSheet
          key={key}
          procedure={procedure}
          check={current.check}
          habit={habit}
          onGood={onCycleGood}
          onFailed={(symptomId) => onFault(key, symptomId)}
          onClose={close}
        />
      ) : null}
      {sheet === 'count' && current.contents ? (
        <CountSheet
          key={key}
          title={current.check.title}
          list={current.contents}
          before={inspection.counts.get(key)?.items}
          day={new Date().toISOString().slice(0, 10)}
          onKeep={(items, complete) => void keepCount(items, complete)}
          onClose={close}
        />
      ) : null}
      {sheet === 'cannot' ? (
        <CannotSheet
          onKeep={(reason) => void answer({ outcome: 'not-looked', reason })}
          onClose={close}
        />
      ) : null}
      {sheet === 'stops' ? <StopsSheet {...stopList} onClose={close} /> : null}
      {sheet === 'repairs' && repairs.length > 0 ? (
        <RepairsSheet
          repairs={repairs}
          onAcknowledge={(id) => void acknowledge(id)}
          onClose={close}
        />
      ) : null}
      {sheet === 'keys' ? <KeysSheet onClose={close} /> : null}
      {sheet === undefined && repairs.length > 0 ? (
        <Pressable
          role="button"
          onPress={() => setSheet('repairs')}
          className="min-h-touch justify-center bg-chalk px-4"
        >
          <Body className="text-center font-thick text-on-chalk">
            {t('today.repairs')}: {repairs.length}
          </Body>
        </Pressable>
      ) : null}
    </View>
  );
}
