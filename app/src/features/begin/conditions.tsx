import type { RoadWeather } from '@nazar/core/simulate';
import { Heading } from '@/design';
import { useWords } from '@/i18n';
import { Choice } from './choice';
import { StationCard } from './station-card';
import type { Conditions } from './use-conditions';

interface ConditionsFieldsProps {
  readonly conditions: Conditions;
  /** The rig carries people. */
  readonly carries: boolean;
  readonly onStation: (weather: RoadWeather) => void;
}

/** Light, weather, frost and who is aboard: said by the station at a touch, or by the one who stands there. */
export function ConditionsFields({ conditions, carries, onStation }: ConditionsFieldsProps) {
  const t = useWords();
  const { dark, wet, freezing, passengers } = conditions;
  return (
    <>
      <Heading level={2}>{t('begin.title')}</Heading>
      <StationCard
        onTake={(weather, given) => {
          conditions.take(weather, given);
          onStation(weather);
        }}
      />
      <Choice
        label={t('begin.light')}
        options={[
          [t('begin.daylight'), dark === false, () => conditions.setDark(false)],
          [t('begin.dark'), dark === true, () => conditions.setDark(true)],
        ]}
      />
      <Choice
        label={t('begin.weather')}
        options={[
          [t('begin.dry'), wet === false, () => conditions.setWet(false)],
          [t('begin.wet'), wet === true, () => conditions.setWet(true)],
        ]}
      />
      <Choice
        label={t('begin.frost')}
        options={[
          [t('begin.above'), freezing === false, () => conditions.setFreezing(false)],
          [t('begin.below'), freezing === true, () => conditions.setFreezing(true)],
        ]}
      />
      {carries ? (
        <Choice
          label={t('begin.aboard')}
          options={[
            [t('begin.empty'), !passengers, () => conditions.setPassengers(false)],
            [t('begin.passengers'), passengers, () => conditions.setPassengers(true)],
          ]}
        />
      ) : null}
    </>
  );
}
