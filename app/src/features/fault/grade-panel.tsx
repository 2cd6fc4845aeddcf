import type { System } from '@nazar/core/catalogue';
import { dueOf, type Finding, type Grade, type Policy } from '@nazar/core/grading';
import { View } from 'react-native';
import { Bead, Body, Button, Card, Heading, Soft, useNow } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { useSpeed } from '@/state';

interface GradePanelProps {
  readonly graded: Pick<Finding, 'grade' | 'blocks' | 'chain' | 'condition' | 'mostKmh'>;
  /** Of the unit, the walk's own first. */
  readonly policies: readonly Policy[];
  readonly system: System;
  readonly raisedTo: Grade | undefined;
  readonly onRaise: (grade: Grade | undefined) => void;
  /** Nothing to hold side by side of what no list names. */
  readonly onCompare?: () => void;
}

const ORDER: readonly Grade[] = ['sound', 'note', 'minor', 'major'];

/** The grade with the chain that led to it; it may be raised, never lowered. */
export function GradePanel(props: GradePanelProps) {
  const { graded, policies, raisedTo, onRaise } = props;
  const t = useWords();
  const speed = useSpeed();
  const now = useNow();
  const higher = ORDER.slice(ORDER.indexOf(graded.grade) + 1);
  const due = dueOf(policies, graded.grade, props.system, now);
  return (
    <Card>
      <Soft>{t('fault.becomes')}</Soft>
      <View className="flex-row items-center gap-3">
        <Bead state={graded.grade} size={36} />
        <Heading level={2} className="text-3xl">
          {t(`grade.${graded.grade}`)}
        </Heading>
      </View>
      <Body>
        {t('fault.ofPolicy', {
          words: policies[0]?.words[graded.grade] ?? '',
          policy: policies[0]?.title ?? '',
        })}
      </Body>
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
      {graded.mostKmh === undefined ? null : (
        <Body className="font-thick">{t('most', { speed: speed(graded.mostKmh) })}</Body>
      )}
      {due && graded.grade === 'minor' ? (
        <Soft>{t('fault.due', { when: formatWhen(new Date(due.at).toISOString()) })}</Soft>
      ) : null}
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
        {props.onCompare ? (
          <Button look="quiet" title={t('compare.open')} onPress={props.onCompare} />
        ) : null}
      </View>
      <Soft>{t('guide')}</Soft>
    </Card>
  );
}
