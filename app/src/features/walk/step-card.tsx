import type { NextStep } from '@nazar/core/walking';
import { View } from 'react-native';
import { Body, Button, Heading, Soft } from '@/design';
import { useWords } from '@/i18n';
import { Countdown } from './countdown';

interface StepCardProps {
  readonly step: NextStep;
  /** Number of the unit that it is done to, where it is one of several. */
  readonly number?: string;
  readonly onDone: () => void;
  /** Start procedure, or the tag of the stop. */
  readonly onOpen: () => void;
  readonly onElsewhere: () => void;
  readonly onCannot: () => void;
  readonly onFault: () => void;
}

/** The next thing before the present check: what is done to the vehicle, waited for, vouched for, read. */
export function StepCard(props: StepCardProps) {
  const { step, number, onDone, onOpen, onElsewhere } = props;
  const t = useWords();
  return (
    <View className="gap-2" testID="step">
      {step.kind === 'do' ? (
        <>
          <Heading level={3}>
            {number === undefined
              ? t(`change.${step.change}`)
              : t('bar.ofUnit', { what: t(`change.${step.change}`), number })}
          </Heading>
          <Soft>{t(`changeWhy.${step.change}`)}</Soft>
          <Others {...props} />
          {step.change === 'start' ? (
            <GoOn testID="step-open" title={t('start.begin')} onPress={onOpen} />
          ) : (
            <GoOn testID="step-done" title={t(`changeDone.${step.change}`)} onPress={onDone} />
          )}
        </>
      ) : null}
      {step.kind === 'first' ? (
        <>
          <Heading level={3}>{t('first.title', { title: step.title })}</Heading>
          <Soft>{t(`first.${step.because}`)}</Soft>
          <Others {...props} />
          <GoOn testID="step-first" title={t('first.go')} onPress={onDone} />
        </>
      ) : null}
      {step.kind === 'affirm' ? (
        <>
          <Heading level={3}>{t(`affirm.${step.what}.title`)}</Heading>
          <Soft>{t(`affirm.${step.what}.why`)}</Soft>
          <Others {...props} />
          <GoOn testID="step-done" title={t(`affirm.${step.what}.yes`)} onPress={onDone} />
        </>
      ) : null}
      {step.kind === 'wait' ? (
        <>
          <View className="flex-row items-center justify-between gap-3">
            <Heading level={3} className="shrink">
              {t(step.orWord ? `affirm.${step.orWord}.title` : `wait.${step.clock}`)}
            </Heading>
            <Countdown due={step.until} />
          </View>
          <Soft>{step.orWord ? t(`affirm.${step.orWord}.why`) : t(`wait.${step.clock}`)}</Soft>
          <Others {...props} />
          <View className="flex-row gap-2">
            <Button
              className="flex-1"
              look={step.orWord ? 'plain' : 'main'}
              title={t('wait.meanwhile')}
              onPress={onElsewhere}
            />
            {step.orWord ? (
              <Button
                look="main"
                className="flex-1"
                testID="step-done"
                title={t(`affirm.${step.orWord}.yes`)}
                onPress={onDone}
              />
            ) : null}
          </View>
        </>
      ) : null}
      {step.kind === 'tag' ? (
        <>
          <Heading level={3}>{t('tag.title')}</Heading>
          <Body>{t('tag.why')}</Body>
          <Others {...props} />
          <GoOn testID="step-open" title={t('tag.open')} onPress={onOpen} />
        </>
      ) : null}
    </View>
  );
}

/** The one large touch of a step. */
function GoOn(props: {
  readonly testID: 'step-done' | 'step-open' | 'step-first';
  readonly title: string;
  readonly onPress: () => void;
}) {
  return <Button look="main" {...props} />;
}

/** What is possible whatever comes first: it cannot be looked at, or a fault is in plain sight. */
function Others({ onCannot, onFault }: StepCardProps) {
  const t = useWords();
  return (
    <View className="flex-row gap-2">
      <Button className="flex-1" title={t('walk.cannot')} onPress={onCannot} />
      <Button className="flex-1" title={t('walk.fault')} onPress={onFault} />
    </View>
  );
}
