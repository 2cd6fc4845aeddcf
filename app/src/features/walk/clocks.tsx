import type { Clock } from '@nazar/core/vehicle';
import { runningClocks, type VehicleState } from '@nazar/core/walking';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Figure } from '@/design';
import { useWords } from '@/i18n';
import { askToTell, mayTell, ring, type Telling } from '@/workers';
import { formatLeft, useTick } from './use-tick';

interface ClocksProps {
  readonly state: VehicleState;
  readonly wanted: ReadonlySet<Clock>;
}

/** Clocks that run while hands and feet do something else; a phone in the pocket tells when one ends, and again when it is late. */
export function Clocks({ state, wanted }: ClocksProps) {
  const t = useWords();
  const any = runningClocks(state, wanted, 0).length > 0;
  const now = useTick(any);
  const clocks = runningClocks(state, wanted, now);
  const told = useRef(new Set<string>());
  const [telling, setTelling] = useState<Telling>(mayTell);
  const due = clocks
    .filter(({ left }) => left === 0)
    .map(({ clock, due: at, late }) => `${late ? 'late' : 'ended'} ${clock} ${at}`)
    .join('|');
  useEffect(() => {
    for (const name of due.split('|').filter(Boolean)) {
      if (told.current.has(name)) continue;
      told.current.add(name);
      const [kind, clock] = name.split(' ');
      const what = t(`clock.done.${clock}`);
      ring(kind === 'late' ? t('clock.late', { what, count: 2 }) : t('clock.ended', { what }));
    }
  }, [due, t]);
  if (clocks.length === 0) return null;
  const runs = clocks.some(({ left }) => left > 0);
  return (
    <View
      testID="clocks"
      role="region"
      aria-label={t('clock.title')}
      className="flex-row items-center border-t border-line bg-raised px-4 py-1"
    >
      <View className="min-w-0 flex-1 flex-row flex-wrap items-center gap-x-4">
        {clocks.map(({ clock, left, late, due: at }) => (
          <View key={clock} className="flex-row items-center gap-2">
            <Body className={late ? 'font-thick' : ''}>
              {late
                ? t('clock.late', {
                    what: t(`clock.done.${clock}`),
                    count: Math.floor((now - at) / 60_000),
                  })
                : left > 0
                  ? t(`wait.${clock}`)
                  : t('clock.ended', { what: t(`clock.done.${clock}`) })}
            </Body>
            {left > 0 ? <Figure className="text-2xl">{formatLeft(left)}</Figure> : null}
          </View>
        ))}
        {telling === 'no' ? <Body>{t('clock.denied')}</Body> : null}
      </View>
      {runs && telling === 'ask' ? (
        <Button
          look="quiet"
          title={t('clock.tell')}
          label={t('clock.tellWhy')}
          onPress={() => void askToTell().then(setTelling)}
        />
      ) : null}
      <View className="sr-only" aria-live="polite">
        {due
          .split('|')
          .filter(Boolean)
          .map((name) => (
            <Body key={name}>
              {t('clock.ended', { what: t(`clock.done.${name.split(' ')[1]}`) })}
            </Body>
          ))}
      </View>
    </View>
  );
}
