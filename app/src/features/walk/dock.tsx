import type { Caution } from '@nazar/core/catalogue';
import { faultsOf, wordsOf, type InstanceAssessment } from '@nazar/core/inspection';
import type { VehicleChange } from '@nazar/core/vehicle';
import type { Forbidden, NextStep } from '@nazar/core/walking';
import { formatSi, type UnitName } from '@nazar/core/quantity';
import type { WeakSpot } from '@nazar/core/repair';
import { memo, type ReactNode } from 'react';
import { View } from 'react-native';
import { Bead, Body, Button, Heading, HintedScroll, SignalWords, Soft } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { StopCautions } from './board-parts';
import { ForbiddenCard } from './forbidden-card';
import { StepCard } from './step-card';

/** A screen less high than this has no room for the drawing, nor for a row more of buttons, px. */
export const SHORT = 720;

export interface LastReading {
  readonly value: number;
  readonly unit: UnitName;
  readonly at: string;
}

interface DockProps {
  /** Cautions of the stop that nobody has put away yet. */
  readonly stopCautions: readonly Caution[];
  readonly onReadStop: () => void;
  /** A short screen scrolls as a whole: what is said here is no scroll of its own. */
  readonly whole: boolean;
  /** What has changed, where it has no room above. */
  readonly news?: ReactNode;
  /** The checks of this stop, where they have no room above. */
  readonly others?: ReactNode;
  readonly assessed: InstanceAssessment;
  readonly last?: LastReading;
  readonly unitOfHabit?: UnitName;
  /** Symptom of a defect that is open here since an earlier walk. */
  readonly known?: string;
  readonly onStillThere: () => void;
  readonly onLooksRepaired: () => void;
  readonly repaired?: string;
  readonly weak?: WeakSpot;
  readonly hasDraft: boolean;
  /** What comes before this check. */
  readonly step: NextStep | undefined;
  /** Number of the unit that the step is done to. */
  readonly stepNumber?: string;
  /** It must not be made any more. */
  readonly forbidden: Forbidden | undefined;
  /** What may be said of the rest of the stop. */
  readonly rest: ReactNode;
  /** The helper who may be asked, and whether this is asked of them. */
  readonly asks?: { readonly name: string; readonly asked: boolean; readonly ask: () => void };
  readonly onStep: () => void;
  readonly onOpenStep: () => void;
  readonly onElsewhere: () => void;
  readonly onLeaveOut: (reason: string) => void;
  /** What may be begun here where the vehicle asks for it. */
  readonly offers: readonly VehicleChange[];
  readonly onOffer: (change: VehicleChange) => void;
  /** The check has a function cycle that can be played. */
  readonly onPlay?: () => void;
  /** The next check without an answer, or the next stop once this one has them all. */
  readonly onward: {
    readonly to: 'check' | 'stop';
    readonly title: string;
    readonly go: () => void;
  };
  readonly onSound: () => void;
  readonly onFault: () => void;
  readonly onCannot: () => void;
  readonly onMeasure: () => void;
  readonly onTakeBack: () => void;
}

/** The present check and its answers, in the lower half where the thumb is. */
export function Dock(props: DockProps) {
  const t = useWords();
  const { assessed, known, repaired, weak } = props;
  // A list is counted, a number measured, a cycle stepped through; everything else is asked about in one question.
  const asksStill =
    known !== undefined &&
    isOpen(assessed) &&
    !assessed.instance.contents &&
    !assessed.instance.check.reading?.required &&
    !props.onPlay;
  const { check, place } = assessed.instance;
  const needs = check.needs.map((need) => t(`need.${need}`)).join(', ');
  const helper = check.helper === 'none' ? '' : t(`helper.${check.helper}`);
  const grave = (caution: Caution) => caution.signal === 'DANGER' || caution.signal === 'WARNING';
  const cautions = (of: readonly Caution[]) =>
    of.map((caution) => <SignalWords key={caution.words} caution={caution} />);
  const said = (
    <>
      {props.stopCautions.length > 0 ? (
        <StopCautions cautions={props.stopCautions} onRead={props.onReadStop} />
      ) : null}
      <View className="flex-row items-start gap-3">
        <View className="pt-1">
          <Bead state={assessed.state} size={28} />
        </View>
        <Heading level={2} className="shrink leading-7">
          {check.title}
          {place ? ` · ${place.title}` : ''}
        </Heading>
      </View>
      {/* What can kill stands before what is looked for. */}
      {cautions(check.cautions.filter(grave))}
      <Body>{check.criterion}</Body>
      {props.news}
      {known && !asksStill ? (
        <Body className="font-thick">{t('walk.known', { words: known })}</Body>
      ) : null}
      {repaired ? (
        <Body className="font-thick">{t('walk.repaired', { words: repaired })}</Body>
      ) : null}
      {weak ? (
        <Body className="font-thick">
          {t('weak.shake', { findings: weak.findings, walks: weak.walks })}
        </Body>
      ) : null}
      <LastLine {...props} />
      {cautions(check.cautions.filter((each) => !grave(each)))}
      {props.offers.map((change) => (
        <Button key={change} title={t(`change.${change}`)} onPress={() => props.onOffer(change)} />
      ))}
      <Soft>
        {[t(`method.${check.method}`), needs && t('walk.needs', { needs }), helper, check.why]
          .filter(Boolean)
          .join(' · ')}
      </Soft>
      {props.asks ? (
        <Button
          look="quiet"
          selected={props.asks.asked}
          title={t(props.asks.asked ? 'helping.asked' : 'helping.ask', {
            name: props.asks.name,
          })}
          onPress={props.asks.ask}
        />
      ) : null}
      {check.source ? <Soft>{t('walk.source', { source: check.source })}</Soft> : null}
      {props.others}
    </>
  );
  const warns = props.stopCautions.length > 0 || check.cautions.some(grave);
  return (
    <View
      testID="dock"
      className={`min-h-0 border-t-2 border-line bg-surface ${props.whole ? '' : 'shrink'} ${
        warns || props.forbidden ? 'max-h-full' : 'max-h-[70%]'
      }`}
    >
      {props.whole ? (
        <View className="gap-1 px-4 pb-1 pt-3">{said}</View>
      ) : (
        <HintedScroll key={assessed.instance.key} hint={t('more')}>
          {said}
        </HintedScroll>
      )}
      <View className="gap-2 px-4 pb-4 pt-2">
        {isOpen(assessed) && props.forbidden ? (
          <ForbiddenCard
            forbidden={props.forbidden}
            onLeave={props.onLeaveOut}
            onFault={props.onFault}
          />
        ) : isOpen(assessed) && props.step ? (
          <StepCard
            step={props.step}
            number={props.stepNumber}
            onDone={props.onStep}
            onOpen={props.onOpenStep}
            onElsewhere={props.onElsewhere}
            onCannot={props.onCannot}
            onFault={props.onFault}
          />
        ) : isOpen(assessed) ? (
          <AnswerButtons
            counts={assessed.instance.contents !== undefined}
            measures={check.reading ? (check.reading.required ? 'must' : 'may') : 'no'}
            again={assessed.state === 'again'}
            open={asksStill ? known : undefined}
            onStillThere={props.onStillThere}
            onLooksRepaired={props.onLooksRepaired}
            hasDraft={props.hasDraft}
            onPlay={props.onPlay}
            onSound={props.onSound}
            onFault={props.onFault}
            onCannot={props.onCannot}
            onMeasure={props.onMeasure}
          />
        ) : (
          <AnsweredButtons {...props} />
        )}
        {isOpen(assessed) && !props.step && !props.forbidden ? props.rest : null}
      </View>
    </View>
  );
}

function isOpen({ state }: InstanceAssessment): boolean {
  return state === 'unanswered' || state === 'again';
}

function LastLine({ last, unitOfHabit }: DockProps) {
  const t = useWords();
  if (!last) return null;
  return (
    <Body className="font-thick">
      {t('walk.last', {
        value: formatSi(last.value, unitOfHabit ?? last.unit),
        when: formatWhen(last.at),
      })}
    </Body>
  );
}

interface AnswerButtonsProps {
  /** Answered by counting a list. */
  readonly counts: boolean;
  readonly measures: 'no' | 'may' | 'must';
  readonly again: boolean;
  /** A defect that is open here, in words: it is not called sound in one touch. */
  readonly open?: string;
  readonly onStillThere: () => void;
  readonly onLooksRepaired: () => void;
  readonly hasDraft: boolean;
  readonly onPlay?: () => void;
  readonly onSound: () => void;
  readonly onFault: () => void;
  readonly onCannot: () => void;
  readonly onMeasure: () => void;
}

/** The same from check to check, so that they are drawn once. */
const AnswerButtons = memo(function AnswerButtons(props: AnswerButtonsProps) {
  const t = useWords();
  const { measures, again } = props;
  return (
    <View className="gap-2">
      <View className="flex-row gap-2">
        <Button className="flex-1" title={t('walk.cannot')} onPress={props.onCannot} />
        {measures === 'may' ? (
          <Button className="flex-1" title={t('walk.gauge')} onPress={props.onMeasure} />
        ) : null}
        <Button
          className="flex-1"
          title={props.hasDraft ? t('walk.goOnFault') : t('walk.fault')}
          onPress={props.onFault}
        />
      </View>
      {props.onPlay ? (
        // A cycle is stepped through, or it is not made: nobody waves it through.
        <Button
          look="main"

          testID="play"
          title={t('cycle.play')}
          onPress={props.onPlay}
        />
      ) : measures === 'must' || again ? (
        <Button
          look="main"

          title={t(again ? 'walk.measureAgain' : 'walk.measure')}
          onPress={props.onMeasure}
        />
      ) : props.open ? (
        <>
          <Body className="font-thick">{t('walk.knownOpen', { words: props.open })}</Body>
          <View className="flex-row gap-2">
            <Button
              className="flex-1"
              testID="looks-repaired"
              title={t('walk.looksRepaired')}
              onPress={props.onLooksRepaired}
            />
            <Button
              look="main"
              className="flex-1"
              testID="still-there"
              title={t('walk.stillThere')}
              onPress={props.onStillThere}
            />
          </View>
        </>
      ) : (
        <Button
          look="main"

          testID={props.counts ? 'count' : 'sound'}
          title={t(props.counts ? 'count.open' : 'walk.sound')}
          onPress={props.onSound}
        />
      )}
    </View>
  );
});

function AnsweredButtons(props: DockProps) {
  const t = useWords();
  const { answer, state, graded, instance } = props.assessed;
  const said = faultsOf(answer).map((fault) => wordsOf(instance.check, fault));
  const reading = answer && 'readings' in answer ? answer.readings.at(-1) : undefined;
  const words = [
    t(`state.${state}`),
    reading && formatSi(reading.value, reading.unit),
    // What was said there, also while its number is missing; of a mere reading, what it stands for.
    ...(said.length > 0 ? said : [graded?.chain[0]?.words]),
    answer?.outcome === 'not-looked' ? answer.reason : undefined,
  ];
  return (
    <View className="gap-2">
      <Body className="font-thick" live>
        {t('walk.looked')}: {words.filter(Boolean).join(' · ')}
      </Body>
      <View className="flex-row gap-2">
        <Button className="flex-1" title={t('walk.undo')} onPress={props.onTakeBack} />
        {answer?.outcome === 'fault' ? (
          <Button className="flex-1" title={t('walk.change')} onPress={props.onFault} />
        ) : null}
      </View>
      {props.assessed.asksReading ? (
        <>
          <Body role="alert">{t('walk.asksReading')}</Body>
          <Button
            look="main"

            testID="measure-beside"
            title={t('walk.measure')}
            onPress={props.onMeasure}
          />
        </>
      ) : null}
      <Button
        look={props.assessed.asksReading ? 'plain' : 'main'}

        testID={`next-${props.onward.to}`}
        title={props.onward.title}
        onPress={props.onward.go}
      />
    </View>
  );
}
