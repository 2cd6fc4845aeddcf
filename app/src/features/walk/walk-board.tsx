import { unitOf } from '@nazar/core/measure';
import { mayHelperAnswer, type Stop } from '@nazar/core/planning';
import type { VehicleChange } from '@nazar/core/vehicle';
import { isRunning, runningClocks } from '@nazar/core/walking';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStable, type BeadState } from '@/design';
import { RigDrawing, toBeads } from '@/drawing';
import { useWords } from '@/i18n';
import { listDrafts, useHabit, usePreferences } from '@/state';
import { useHearing, type Walk, useWalkSession } from '@/state/walk';
import { keepAwake } from '@/workers';
import { CheckList } from './check-list';
import { Clocks } from './clocks';
import { Dock } from './dock';
import { News } from './news';
import { RepairsBar } from './repairs-bar';
import { RestButton } from './rest-button';
import { openInStop, stateOfStop, stopAfter } from './states';
import { StopHeading } from './stop-heading';
import { StopList } from './stops-sheet';
import { useAnswers } from './use-answers';
import { useClockWatch } from './use-clock-watch';
import { useKeys } from './use-keys';
import { useKnownHere } from './use-known-here';
import { useLive } from './use-live';
import { asksReading, usePosition } from './use-position';
import { useReplanning } from './use-replanning';
import { useStarting } from './use-starting';
import { useStep } from './use-step';
import type { WalkScreenProps } from './walk-screen-props';
import { standsInDock, useRoom, WalkLayout } from './walk-layout';
import { WalkSheets, type OpenSheet } from './walk-sheets';
import { WalkTop } from './walk-top';

interface WalkBoardProps extends WalkScreenProps {
  readonly walk: Walk;
  readonly personId: string;
}

const NOTHING: readonly VehicleChange[] = [];
/** One stop at a time: the rig with the way round it, the checks from here, the present one at the thumb. */
export function WalkBoard(props: WalkBoardProps) {
  const { log } = useWalkSession();
  const { walk, personId, onFault, onVerdict, onLeave } = props;
  const t = useWords();
  const habit = useHabit();
  const gloves = usePreferences((state) => state.gloves);
  const { inspection, assessment, rig, stops } = walk;
  const position = usePosition(walk, props.at);
  const { stop, stopIndex, current } = position;
  const live = useLive(walk, personId);
  const forbidden = live.forbidden.get(current.key);
  const room = useRoom(forbidden !== undefined);
  const { wide } = room;
  const replanning = useReplanning(walk, live, stop.zone.key);
  const clock = useClockWatch(inspection.id, personId);
  const { helper, asked } = inspection.course;
  const [dims, setDims] = useState(false);
  useEffect(() => keepAwake(() => setDims(true)), []);
  const repairs = walk.unread.filter(({ defectId }) => !inspection.acknowledged.has(defectId));
  const [sheet, setSheet] = useState<OpenSheet>(
    repairs.length > 0 ? 'repairs' : asksReading(walk, props.at) ? 'reading' : undefined,
  );
  // Also while somebody is expected to join.
  useHearing(inspection.id, helper?.phone === true || sheet === 'helper');
  // Cautions of a stop stand there until the first answer or a touch. A phone has no room for the drawing beside them, nor
  // beside a step that comes first.
  const [readAt, setReadAt] = useState<string>();
  const [drafts, setDrafts] = useState<readonly string[]>([]);
  useEffect(() => {
    void listDrafts(inspection.id).then(setDrafts);
  }, [inspection.id]);
  const close = useCallback(() => setSheet(undefined), []);
  const answers = useAnswers({ walk, personId, position, closeSheet: close, onFault });
  const { answer } = answers;
  const key = current.key;
  const own = { inspectionId: inspection.id, actorId: personId };

  const assessed = assessment.byKey.get(key);
  const openHere = openInStop(walk, stop);
  const warns =
    !wide &&
    openHere === stop.instances.length &&
    readAt !== stop.key &&
    (stop.zone.cautions?.length ?? 0) > 0;
  const stateOf = useCallback(
    (each: string): BeadState => assessment.byKey.get(each)?.state ?? 'unanswered',
    [assessment],
  );
  const stopStates = stops.map((each) => stateOfStop(walk, each)).join(' ');
  // The drawing changes only when a stop does, not with every answer.
  const beads = useMemo(() => {
    const states = stopStates.split(' ') as BeadState[];
    return toBeads(stops, (_, index) => states[index]);
  }, [stops, stopStates]);
  const known = useKnownHere(walk, stop, key);
  const reading = current.check.reading;
  const canAnswer = assessed?.state === 'unanswered' || assessed?.state === 'again';
  const { step, take, elsewhere } = useStep(walk, live, position);
  const free = canAnswer && !step && !forbidden;
  const after = stopAfter(walk, stopIndex);
  const goOn = () => (after === undefined ? onVerdict() : position.goToStop(after));
  const openChecks = stop.instances.filter(
    (each) =>
      assessment.byKey.get(each.key)?.state === 'unanswered' &&
      !live.forbidden.has(each.key) &&
      live.stepOf(each) === undefined,
  );

  const counts = current.contents !== undefined;
  const onSound = useStable(() => (counts ? setSheet('count') : void answer({ outcome: 'sound' })));
  const onTakeBack = useStable(() => void answer({ outcome: 'cleared' }));
  const onFaultHere = useStable(() => onFault(key));
  const onStillThere = useStable(() => void answers.stillThere());
  const onLooksRepaired = useStable(() => void answers.looksRepaired(t('walk.repairedNote')));
  const openCannot = useStable(() => setSheet('cannot'));
  const openReading = useStable(() => setSheet('reading'));
  const openStops = useStable(() => setSheet('stops'));
  const openCycle = useStable(() => setSheet('cycle'));
  const onOpenStep = useStable(() => setSheet(step?.kind === 'tag' ? 'tag' : 'start'));
  const procedure = rig.units
    .find(({ unit }) => unit.id === current.unit.id)
    ?.module.procedures.find((each) => each.check === current.check.id);
  const { x, y } = current;
  const spot = useMemo(() => ({ x, y }), [x, y]);
  const starting = useStarting(walk, personId, onFault, close);

  useKeys(
    {
      s: () => free && !known.defect && !reading?.required && (procedure ? openCycle() : onSound()),
      ' ': () =>
        free
          ? !known.defect && !reading?.required && (procedure ? openCycle() : onSound())
          : take(),
      f: () => onFault(key),
      c: () => canAnswer && setSheet('cannot'),
      m: () => reading && free && setSheet('reading'),
      u: () => !canAnswer && void answer({ outcome: 'cleared' }),
      ArrowDown: () => position.step(1),
      ArrowUp: () => position.step(-1),
      ArrowRight: goOn,
      ArrowLeft: () => position.goToStop(stopIndex - 1),
      h: () => setSheet('helper'),
      l: () => setSheet('lamps'),
      v: () => setSheet('stand'),
      x: () => setSheet('happening'),
      '?': () => setSheet('keys'),
    },
    sheet === undefined,
  );

  if (!assessed) return null;
  const cramped =
    runningClocks(live.state, live.wanted, 0).length > 0 ||
    (gloves && current.check.cautions.length > 0);
  const grave =
    !wide &&
    (warns ||
      current.check.cautions.some(({ signal }) => signal === 'DANGER' || signal === 'WARNING'));
  const inDock = standsInDock(room, grave);
  const map = (
    <RigDrawing
      rig={rig}
      label={t('walk.drawing', { count: stops.length })}
      stops={beads}
      way={walk.stale || walk.way?.length === 0 ? undefined : walk.way}
      currentStop={stop.key}
      spot={spot}
      weak={known.weakInstances}
    />
  );
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
  const onward = stops.findIndex((each) => openInStop(walk, each) > 0);
  // Once nothing is open there is nowhere to go on to.
  const told = onward < 0 ? undefined : walk.plan?.told;
  const banners =
    told || clock.moved !== undefined ? (
      <News
        told={told}
        stop={told ? stops[onward].zone.title : ''}
        onGo={() => {
          replanning.putAway();
          position.goToStop(onward);
        }}
        clockMoved={clock.moved}
        onClockRead={clock.putAway}
      />
    ) : undefined;
  const heading = (
    <StopHeading
      stop={stop}
      number={stopIndex + 1}
      of={stops.length}
      isProven={inspection.course.present.has(stop.zone.key)}
      isDimming={dims}
      plan={replanning.busy ? 'busy' : walk.stale ? 'stale' : undefined}
    />
  );
  const list = (
    <CheckList
      scrolls={!inDock}
      instances={stop.instances}
      currentKey={key}
      stateOf={stateOf}
      isWeak={known.isWeak}
      onChoose={position.goToCheck}
    />
  );
  const top = (
    <WalkTop
      walk={walk}
      state={live.state}
      onLeave={onLeave}
      onStops={openStops}
      onStand={() => setSheet('stand')}
      onHappening={() => setSheet('happening')}
    />
  );
  const clocks = <Clocks state={live.state} wanted={live.wanted} />;
  const dock = (
    <Dock
      stopCautions={warns ? (stop.zone.cautions ?? []) : []}
      onReadStop={() => setReadAt(stop.key)}
      whole={room.whole}
      news={inDock ? banners : undefined}
      others={inDock ? list : undefined}
      assessed={assessed}
      last={known.last}
      unitOfHabit={reading && unitOf(reading, habit)}
      known={known.defect?.words}
      onStillThere={onStillThere}
      onLooksRepaired={onLooksRepaired}
      repaired={known.repaired}
      weak={known.weak}
      hasDraft={drafts.includes(key)}
      step={step}
      stepNumber={
        step?.kind === 'do'
          ? rig.units.find(({ unit }) => unit.id === step.unitId)?.unit.number
          : undefined
      }
      forbidden={forbidden}
      rest={
        <RestButton
          walk={walk}
          stop={stop}
          open={openChecks}
          watched={known.watched}
          onRest={(instances) => void answers.soundTogether(instances)}
        />
      }
      asks={
        helper?.phone && canAnswer && mayHelperAnswer(current)
          ? {
              name: helper.name,
              asked: asked?.keys.includes(key) ?? false,
              ask: () => void live.tell('asked', { keys: [key] }),
            }
          : undefined
      }
      onStep={take}
      onOpenStep={onOpenStep}
      onElsewhere={elsewhere}
      onLeaveOut={(reason) => void answer({ outcome: 'not-looked', reason })}
      offers={live.state.cleanAt === undefined ? (current.check.offers ?? NOTHING) : NOTHING}
      // Nothing of the kind works with the engine off.
      onOffer={(change) => (isRunning(live.state) ? void live.change(change) : setSheet('start'))}
      onPlay={procedure && openCycle}
      onward={
        openHere > 0
          ? { to: 'check', title: t('walk.nextCheck'), go: () => position.moveOn(key) }
          : {
              to: 'stop',
              title:
                after === undefined
                  ? t('walk.finish')
                  : t('walk.toStop', { stop: stops[after].zone.title }),
              go: goOn,
            }
      }
      onSound={onSound}
      onFault={onFaultHere}
      onCannot={openCannot}
      onMeasure={openReading}
      onTakeBack={onTakeBack}
    />
  );
  return (
    <View role="main" className="h-full flex-1 bg-ground">
      <WalkLayout
        room={room}
        checkKey={key}
        grave={grave}
        cramped={cramped}
        hasStep={step !== undefined}
        cautions={stop.zone.cautions ?? []}
        top={top}
        banners={banners}
        map={map}
        heading={heading}
        stops={<StopList {...stopList} />}
        checks={list}
        clocks={clocks}
        dock={dock}
      />
      <WalkSheets
        sheet={sheet}
        walk={walk}
        live={live}
        current={current}
        assessed={assessed}
        habit={habit}
        last={known.last}
        procedure={procedure}
        repairs={repairs}
        stopList={stopList}
        answers={answers}
        open={setSheet}
        close={close}
        onFault={onFault}
        onSkip={() => {
          close();
          void replanning.skip(stop).then(() => {
            if (after !== undefined) position.goToStop(after);
          });
        }}
        onStarted={starting.runs}
        onShut={starting.shut}
        onReportStart={starting.report}
        onNamed={(name) =>
          void log
            .append([{ ...own, type: 'joined', payload: { name, phone: false } }])
            .then((kept) => (kept ? close() : undefined))
        }
        onParted={() => void log.append([{ ...own, type: 'parted', payload: {} }])}
      />
      {sheet === undefined && repairs.length > 0 ? (
        <RepairsBar count={repairs.length} onOpen={() => setSheet('repairs')} />
      ) : null}
    </View>
  );
}
