import { DIRECTIONS, ENGINE_TIMINGS, FIRSTS, type RouteStyle } from '@nazar/core/planning';
import { View } from 'react-native';
import { Button, Heading, Soft } from '@/design';
import { useWords } from '@/i18n';

interface SchoolChoiceProps {
  readonly routeStyle: RouteStyle;
  readonly onChange: (routeStyle: RouteStyle) => void;
}

/** How this yard walks; each with why people choose it. */
export function RouteStyleChoice({ routeStyle, onChange }: SchoolChoiceProps) {
  const t = useWords();
  return (
    <View className="gap-2">
      <Heading level={3}>{t('plan.routeStyle')}</Heading>
      <View className="flex-row flex-wrap gap-2" role="group" aria-label={t('plan.direction')}>
        {DIRECTIONS.map((each) => (
          <Button
            key={each}
            className="grow"
            title={t(`plan.directions.${each}`)}
            selected={routeStyle.direction === each}
            onPress={() => onChange({ ...routeStyle, direction: each })}
          />
        ))}
      </View>
      <Soft>{t(`plan.directionWhy.${routeStyle.direction}`)}</Soft>
      <View className="flex-row flex-wrap gap-2" role="group" aria-label={t('plan.first')}>
        {FIRSTS.map((each) => (
          <Button
            key={each}
            className="grow"
            title={t(`plan.firsts.${each}`)}
            selected={routeStyle.first === each}
            onPress={() => onChange({ ...routeStyle, first: each })}
          />
        ))}
      </View>
      <Soft>{t(`plan.firstWhy.${routeStyle.first}`)}</Soft>
      <View className="flex-row flex-wrap gap-2" role="group" aria-label={t('plan.engine')}>
        {ENGINE_TIMINGS.map((each) => (
          <Button
            key={each}
            className="grow"
            title={t(`plan.engines.${each}`)}
            selected={routeStyle.engine === each}
            onPress={() => onChange({ ...routeStyle, engine: each })}
          />
        ))}
      </View>
      <Soft>{t(`plan.engineWhy.${routeStyle.engine}`)}</Soft>
      <View className="flex-row flex-wrap gap-2" role="group" aria-label={t('plan.helper')}>
        {[false, true].map((each) => (
          <Button
            key={String(each)}
            className="grow"
            title={t(each ? 'plan.withHelper' : 'plan.alone')}
            selected={routeStyle.helper === each}
            onPress={() => onChange({ ...routeStyle, helper: each })}
          />
        ))}
      </View>
    </View>
  );
}
