import type { Check, Procedure } from '@nazar/core/catalogue';
import { formatSi, unitFor, type UnitHabit } from '@nazar/core/quantity';
import {
  breakOff,
  failStep,
  goOn,
  startRun,
  stepOf,
  stopAtGate,
  timeAgain,
  waitOf,
  type Run,
} from '@nazar/core/procedure';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Body, Button, Figure, Heading, Sheet, SignalWords, Soft } from '@/design';
import { useWords } from '@/i18n';
import { formatLeft, stopwatch, useStopwatch } from './use-tick';

interface ProcedureSheetProps {
  readonly procedure: Procedure;
  readonly check: Check;
  readonly habit: UnitHabit;
  /** Looks up the rated charts of the unit, in a step that asks for it. */
  readonly chart?: ReactNode;
  /** Whoever watches; undefined where nobody helps. */
  readonly helper?: string;
  readonly onGood: () => void;
  readonly onFailed: (symptomId: string) => void;
  readonly onClose: () => void;
}

/** A function cycle step by step: clear zone and cautions first, gates that must be answered, holds that are counted. */
export function ProcedureSheet(props: ProcedureSheetProps) {
  const { procedure, check, habit, helper, onGood, onFailed, onClose } = props;
  const t = useWords();
  // Held against a clock that nobody can set.
  const now = useStopwatch(true);
  const [run, setRun] = useState<Run>(() => startRun(stopwatch()));
  const watched = useRef(helper);
  const gone = t('cycle.helperGone');
  useEffect(() => {
    // Nobody watches the far side any more: it stops here, and nothing of it is sound.
    if (watched.current !== undefined && helper === undefined && check.helper === 'needed')
      setRun((before) => breakOff(procedure, before, gone));
    watched.current = helper;
  }, [helper, check.helper, procedure, gone]);
  const step = stepOf(procedure, run);
  const wait = waitOf(procedure, run, now);
  const length = unitFor('length', habit);
  const on = () => {
    const next = goOn(procedure, run, stopwatch());
    setRun(next);
    if (next.ended?.how === 'good') onGood();
  };
  const fail = (symptomId: string) => {
    setRun(failStep(procedure, run, symptomId));
    onFailed(symptomId);
  };
  const foot = run.ended ? (
    <Button look="main" className="min-h-[64px]" title={t('close')} onPress={onClose} />
  ) : !step ? (
    <Button look="main" className="min-h-[64px]" title={t('cycle.begin')} onPress={on} />
  ) : step.gate ? (
    <View className="flex-row gap-2">
      <Button
        className="min-h-[64px] flex-1"
        title={t('cycle.no')}
        onPress={() => setRun(stopAtGate(procedure, run))}
      />
      <Button
        look="main"
        className="min-h-[64px] flex-1"
        title={t('cycle.yes')}
        disabled={wait?.code === 'hold'}
        onPress={on}
      />
    </View>
  ) : wait?.code === 'too-slow' ? (
    <Button
      className="min-h-[64px]"
      title={t('cycle.timeAgain')}
      onPress={() => setRun(timeAgain(run, stopwatch()))}
    />
  ) : (
    <Button
      look="main"
      className="min-h-[64px]"
      title={t('cycle.good')}
      disabled={wait !== undefined}
      onPress={on}
    />
  );
  return (
    <Sheet title={procedure.title} closeTitle={t('close')} onClose={onClose} foot={foot}>
      {run.ended?.how === 'stopped' ? (
        <>
          <Heading level={2}>{t('cycle.stopped')}</Heading>
          <Body role="alert" className="font-thick">
            {run.ended.words}
          </Body>
          <Soft>{t('cycle.notSound')}</Soft>
        </>
      ) : null}
      {!run.ended && !step ? (
        <>
          {procedure.cautions.map((caution) => (
            <SignalWords key={caution.words} caution={caution} />
          ))}
          <Body>
            <Body className="font-thick">{t('cycle.stand')}</Body> {procedure.stand}
          </Body>
          <Body>
            <Body className="font-thick">{t('cycle.clear')}</Body>{' '}
            {t('cycle.zone', {
              length: formatSi(procedure.clear.length, length),
              width: formatSi(procedure.clear.width, length),
            })}
          </Body>
        </>
      ) : null}
      {step ? (
        <>
          <Soft>{t('cycle.step', { number: run.at + 1, of: procedure.steps.length })}</Soft>
          <Heading level={2} className="text-3xl">
            {step.say}
          </Heading>
          {step.who ? <Soft>{t(`cycle.who.${step.who}`)}</Soft> : null}
          {step.see ? <Body>{t('cycle.see', { words: step.see })}</Body> : null}
          {step.chart ? props.chart : null}
          {step.gate ? <Body className="font-thick">{step.gate.ask}</Body> : null}
          {wait?.code === 'hold' ? (
            <Figure>{t('cycle.hold', { left: formatLeft(wait.seconds) })}</Figure>
          ) : null}
          {wait?.code === 'too-slow' ? (
            <Body role="alert" className="font-thick">
              {t('cycle.tooSlow', { seconds: wait.seconds, within: wait.within })}
            </Body>
          ) : null}
          {step.fails.length > 0 ? <Soft>{t('cycle.orElse')}</Soft> : null}
          {step.fails.map((id) => {
            const symptom = check.symptoms.find((each) => each.id === id);
            return symptom ? (
              <Button key={id} start title={symptom.words} onPress={() => fail(id)} />
            ) : null;
          })}
        </>
      ) : null}
    </Sheet>
  );
}
