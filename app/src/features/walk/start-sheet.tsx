import {
  beginStart,
  onStart,
  startClock,
  START_GATES,
  type EngineStart,
  type StartAct,
  type StartGate,
  type StartLimits,
} from '@nazar/core/walking';
import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Figure, Heading, Sheet, Soft } from '@/design';
import { useWords } from '@/i18n';
import { stopwatch, useStopwatch } from './use-tick';

interface StartSheetProps {
  /** What the card of the unit allows. */
  readonly limits: StartLimits;
  /** It idles, with its oil pressure. */
  readonly onRuns: () => void;
  /** No oil pressure: it was shut down. */
  readonly onShut: () => void;
  /** It does not start, or a gate was answered with no: what is wrong is reported. */
  readonly onReport: () => void;
  readonly onClose: () => void;
}

const isGate = (at: EngineStart['at']): at is StartGate =>
  (START_GATES as readonly string[]).includes(at);

/** The start of the engine, step by step: gates, limited cranking with a rest, oil pressure within its seconds or shut down. */
export function StartSheet({ limits, onRuns, onShut, onReport, onClose }: StartSheetProps) {
  const t = useWords();
  const [start, setStart] = useState<EngineStart>(beginStart);
  const timed = start.at === 'cranking' || start.at === 'resting' || start.at === 'pressure';
  const now = useStopwatch(timed);
  const clock = startClock(start, now, limits);
  const act = (what: StartAct) => {
    const next = onStart(start, what, stopwatch(), limits);
    setStart(next);
    if (next.at === 'idling') onRuns();
    if (next.at === 'shut-down') onShut();
  };
  const button = (title: string, what: StartAct, look: 'main' | 'plain' | 'grave' = 'plain') => (
    <Button
      key={title}
      look={look}
      className="min-h-[64px] flex-1"
      testID={look === 'plain' ? undefined : 'start-go'}
      title={title}
      onPress={() => act(what)}
    />
  );
  return (
    <Sheet
      title={t('start.title')}
      closeTitle={t('close')}
      onClose={onClose}
      foot={<View className="flex-row flex-wrap gap-2">{feet()}</View>}
    >
      {isGate(start.at) ? (
        <Heading level={2} className="text-3xl">
          {t(`start.gates.${start.at}.ask`)}
        </Heading>
      ) : null}
      {start.at === 'ready' ? <Body>{t('start.ready', { seconds: limits.crank })}</Body> : null}
      {start.at === 'cranking' ? (
        <>
          <Heading level={2}>{t('start.cranking')}</Heading>
          {clock?.over ? (
            <Body role="alert" className="font-thick text-vermilion">
              {t('start.letGo')}
            </Body>
          ) : null}
        </>
      ) : null}
      {start.at === 'resting' ? (
        <Body>{t('start.rest', { tries: start.tries, most: limits.tries })}</Body>
      ) : null}
      {start.at === 'pressure' ? (
        <>
          <Heading level={2}>{t('start.pressure')}</Heading>
          {clock?.over ? (
            <Body role="alert" className="font-thick text-vermilion">
              {t('start.pressureLate', { seconds: limits.pressure })}
            </Body>
          ) : null}
        </>
      ) : null}
      {clock ? (
        <Figure className="text-6xl">{t('lampWalk.seconds', { count: clock.left })}</Figure>
      ) : null}
      {start.at === 'idling' ? (
        <>
          <Body className="font-thick">{t('start.idling')}</Body>
          <Body>{t('start.idlingNext')}</Body>
        </>
      ) : null}
      {start.at === 'stopped' ? (
        <Body role="alert" className="font-thick">
          {start.because === 'not-caught'
            ? t('start.notStarting', { count: limits.tries })
            : t(`start.gates.${start.because}.no`)}
        </Body>
      ) : null}
      {start.at === 'shut-down' ? (
        <Body role="alert" className="font-thick text-vermilion">
          {t('start.shut')}
        </Body>
      ) : null}
      <Soft>{t('guide')}</Soft>
    </Sheet>
  );

  function feet() {
    if (isGate(start.at))
      return [button(t('start.no'), 'no'), button(t('start.yes'), 'yes', 'main')];
    switch (start.at) {
      case 'ready':
        return button(t('start.crank'), 'crank', 'main');
      case 'cranking':
        return [
          button(t('start.notCaught'), 'not-caught', clock?.over ? 'grave' : 'plain'),
          button(t('start.caught'), 'caught', clock?.over ? 'plain' : 'main'),
        ];
      case 'resting':
        return (
          <Button
            look="main"
            className="min-h-[64px] flex-1"
            disabled={clock !== undefined && !clock.over}
            title={t('start.crankAgain')}
            onPress={() => act('crank')}
          />
        );
      case 'pressure':
        return clock?.over
          ? [
              button(t('start.inTime'), 'pressure-up'),
              button(t('start.pressureNone'), 'no-pressure', 'grave'),
            ]
          : [
              button(t('start.pressureNone'), 'no-pressure'),
              button(t('start.pressureUp'), 'pressure-up', 'main'),
            ];
      case 'stopped':
        return [
          <Button key="again" className="flex-1" title={t('close')} onPress={onClose} />,
          <Button
            key="report"
            look="main"
            className="flex-1"
            title={t('start.report')}
            onPress={onReport}
          />,
        ];
      default:
        return <Button look="main" className="flex-1" title={t('close')} onPress={onClose} />;
    }
  }
}
