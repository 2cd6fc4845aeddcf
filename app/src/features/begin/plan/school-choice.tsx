import { DIRECTIONS, ENGINE_TIMINGS, FIRSTS, type School } from '@nazar/core/planning';
import { View } from 'react-native';
import { Button, Heading, Soft } from '@/design';
import { useWords } from '@/i18n';

interface SchoolChoiceProps {
  readonly school: School;
  readonly onChange: (school: School) => void;
}

/** How this yard walks; each with why people choose it. */
export function SchoolChoice({ school, onChange }: SchoolChoiceProps) {
  const t = useWords();
  return (
    <View className="gap-2">
      <Heading level={3}>{t('plan.school')}</Heading>
      <View className="flex-row flex-wrap gap-2" role="group" aria-label={t('plan.direction')}>
        {DIRECTIONS.map((each) => (
          <Button
            key={each}
            className="grow"
            title={t(`plan.directions.${each}`)}
            selected={school.direction === each}
            onPress={() => onChange({ ...school, direction: each })}
          />
        ))}
      </View>
      <Soft>{t(`plan.directionWhy.${school.direction}`)}</Soft>
      <View className="flex-row flex-wrap gap-2" role="group" aria-label={t('plan.first')}>
        {FIRSTS.map((each) => (
          <Button
            key={each}
            className="grow"
            title={t(`plan.firsts.${each}`)}
            selected={school.first === each}
            onPress={() => onChange({ ...school, first: each })}
          />
        ))}
      </View>
      <Soft>{t(`plan.firstWhy.${school.first}`)}</Soft>
      <View className="flex-row flex-wrap gap-2" role="group" aria-label={t('plan.engine')}>
        {ENGINE_TIMINGS.map((each) => (
          <Button
            key={each}
            className="grow"
            title={t(`plan.engines.${each}`)}
            selected={school.engine === each}
            onPress={() => onChange({ ...school, engine: each })}
          />
        ))}
      </View>
      <Soft>{t(`plan.engineWhy.${school.engine}`)}</Soft>
      <View className="flex-row flex-wrap gap-2" role="group" aria-label={t('plan.helper')}>
        {[false, true].map((each) => (
          <Button
            key={String(each)}
            className="grow"
            title={t(each ? 'plan.withHelper' : 'plan.alone')}
            selected={school.helper === each}
            onPress={() => onChange({ ...school, helper: each })}
          />
        ))}
      </View>
    </View>
  );
}
