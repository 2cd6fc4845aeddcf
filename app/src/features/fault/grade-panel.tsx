import type { Grade, Graded } from '@nazar/core/grading';
import { View } from 'react-native';
import { Bead, Body, Button, Card, Heading, Soft } from '@/design';
import { useWords } from '@/i18n';

interface GradePanelProps {
  readonly graded: Graded;
  readonly raisedTo: Grade | undefined;
  readonly onRaise: (grade: Grade | undefined) => void;
}

const ORDER: readonly Grade[] = ['sound', 'note', 'minor', 'major'];

/** The grade with the chain that led to it; it may be raised, never lowered. */
export function GradePanel({ graded, raisedTo, onRaise }: GradePanelProps) {
  const t = useWords();
  const higher = ORDER.slice(ORDER.indexOf(graded.grade) + 1);
  return (
    <Card>
      <Soft>{t('fault.becomes')}</Soft>
      <View className="flex-row items-center gap-3">
        <Bead state={graded.grade === 'sound' ? 'sound' : graded.grade} size={36} />
        <Heading level={2} className="text-3xl">
          {t(`grade.${graded.grade}`)}
        </Heading>
      </View>
      <Body>{t(`gradeMeans.${graded.grade}`)}</Body>
      {graded.blocks.length > 0 ? (
        <Body className="font-thick">
          {t('fault.blocks', {
            list: graded.blocks.map((each) => t(`capability.${each}`)).join(', '),
          })}
        </Body>
      ) : null}
      {graded.chain.map((reason, index) => (
        <Body key={index}>
          {index + 1}. {t(`reason.${reason.code}`, { words: reason.words })}
        </Body>
      ))}
      {graded.condition ? <Body className="font-thick">{graded.condition}</Body> : null}
      <Soft>{t('fault.raiseWhy')}</Soft>
      <View className="flex-row flex-wrap gap-2">
        {higher.map((grade) => (
          <Button
            key={grade}
            title={t('fault.raise', { grade: t(`grade.${grade}`) })}
            onPress={() => onRaise(grade)}
          />
        ))}
        {raisedTo ? <Button title={t('walk.undo')} onPress={() => onRaise(undefined)} /> : null}
      </View>
      <Soft>{t('guide')}</Soft>
    </Card>
  );
}
