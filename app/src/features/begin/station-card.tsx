import type { Circumstance } from '@nazar/core/catalogue';
import { formatSi, toSi, unitFor } from '@nazar/core/quantity';
import { circumstancesIn, type RoadWeather } from '@nazar/core/simulate';
import { Body, Button, Card, Soft } from '@/design';
import { useWords } from '@/i18n';
import { useHabit, useRoadWeather } from '@/state';

interface StationCardProps {
  readonly onTake: (weather: RoadWeather, circumstances: readonly Circumstance[]) => void;
}

/** What the road weather station reports; taken over at a touch, never by itself. */
export function StationCard({ onTake }: StationCardProps) {
  const t = useWords();
  const habit = useHabit();
  const { value: weather, trouble } = useRoadWeather();
  const unit = unitFor('temperature', habit);
  const degrees = (celsius: number) => formatSi(toSi(celsius, '°C'), unit, 0);
  return (
    <Card>
      <Soft>{t('station.simulated')}</Soft>
      {trouble ? <Body>{t('station.offline')}</Body> : null}
      {weather ? (
        <>
          <Body>
            {t('station.report', {
              station: weather.station,
              air: degrees(weather.airC),
              surface: degrees(weather.surfaceC),
              precipitation: t(`station.${weather.precipitation}`),
              wind:
                habit === 'metric'
                  ? `${weather.wind} m/s`
                  : `${Math.round(weather.wind * 2.237)} mph`,
            })}
          </Body>
          <Button
            title={t('station.take')}
            onPress={() => onTake(weather, circumstancesIn(weather))}
          />
        </>
      ) : null}
    </Card>
  );
}
