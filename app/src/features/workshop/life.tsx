import type { DefectStep } from '@nazar/core/repair';
import { View } from 'react-native';
import { Body, Card, Heading, Soft } from '@/design';
import { KeptPhoto } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';

/** The life of a defect so far, oldest first, on a rule like a tape measure. */
export function Life({ steps }: { readonly steps: readonly DefectStep[] }) {
  const t = useWords();
  return (
    <Card>
      <Heading level={3}>{t('life.title')}</Heading>
      {steps.map((step, index) => (
        <View key={index} className="flex-row gap-3">
          <View className="items-center pt-2" aria-hidden>
            <View className="h-1 w-4 bg-ink" />
            <View className="w-0.5 flex-1 bg-line" />
          </View>
          <View className="shrink pb-2">
            <Body className="font-thick">
              {t(`life.${step.kind}`, { grade: step.grade ? t(`grade.${step.grade}`) : '' })}
              {step.outcome ? `: ${t(`outcome.${step.outcome}`)}` : ''}
            </Body>
            {step.words ? <Body>{step.words}</Body> : null}
            {step.parts.length > 0 ? (
              <Body>{step.parts.map(({ count, words }) => `${count} × ${words}`).join(', ')}</Body>
            ) : null}
            <Soft>
              {[
                step.by,
                formatWhen(step.at),
                step.minutes && t('life.minutes', { count: step.minutes }),
              ]
                .filter(Boolean)
                .join(' · ')}
            </Soft>
            <View className="flex-row flex-wrap gap-2">
              {step.photos.map(({ id, when }) => (
                <KeptPhoto key={id} id={id} size={120} label={t(`life.photo.${when}`)} />
              ))}
            </View>
          </View>
        </View>
      ))}
    </Card>
  );
}
