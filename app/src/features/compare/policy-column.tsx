import type { Capability, Circumstance, Symptom } from '@nazar/core/catalogue';
import { gradeSymptom, type Policy } from '@nazar/core/grading';
import { useState } from 'react';
import { View } from 'react-native';
import { Bead, Body, Button, Card, Heading, Sheet, Soft } from '@/design';
import { useWords } from '@/i18n';

interface PolicyColumnProps {
  readonly policies: readonly Policy[];
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
  readonly question: {
    readonly symptom: Symptom;
    readonly stepId: string | undefined;
    readonly circumstances: readonly Circumstance[];
    readonly needed: readonly Capability[];
  };
}

/** What one policy makes of a symptom. */
export function PolicyColumn({ policies, chosen, onChoose, question }: PolicyColumnProps) {
  const t = useWords();
  const [choosing, setChoosing] = useState(false);
  const policy = policies.find(({ id }) => id === chosen) ?? policies[0];
  const graded = gradeSymptom({
    ...question,
    circumstances: new Set(question.circumstances),
    needed: new Set(question.needed),
    alike: 1,
    policies: [policy],
  });
  const deadline = policy.deadlines.find(
    (each) =>
      each.grade === graded.grade && (each.systems?.includes(question.symptom.system) ?? true),
  );
  return (
    <View className="min-w-0 flex-1">
      <Card className="h-full">
        <Button
          start
          title={policy.title}
          label={t('compare.choose', { policy: policy.title })}
          onPress={() => setChoosing(true)}
        />
        <View className="flex-row items-center gap-2">
          <Bead state={graded.grade} size={36} />
          <Heading level={2} className="shrink text-3xl">
            {t(`grade.${graded.grade}`)}
          </Heading>
        </View>
        <Body className="font-thick">{policy.words[graded.grade]}</Body>
        {graded.blocks.length > 0 ? (
          <Body>
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
        {graded.condition ? <Body>{graded.condition}</Body> : null}
        {deadline ? (
          <Soft>
            {deadline.hours === 0
              ? t('compare.before')
              : t('compare.within', { days: Math.round(deadline.hours / 2.4) / 10 })}{' '}
            ({deadline.source})
          </Soft>
        ) : null}
        <Soft>{t(`compare.repair.${policy.signatures.repair}`)}</Soft>
        <Soft>{t('compare.kept', { days: policy.keepDays })}</Soft>
        <Soft>
          {policy.why} ({policy.source})
        </Soft>
      </Card>
      {choosing ? (
        <Sheet
          title={t('compare.which')}
          closeTitle={t('close')}
          onClose={() => setChoosing(false)}
        >
          {policies.map(({ id, title, why }) => (
            <Button
              key={id}
              start
              title={title}
              note={why}
              selected={id === chosen}
              onPress={() => {
                onChoose(id);
                setChoosing(false);
              }}
            />
          ))}
        </Sheet>
      ) : null}
    </View>
  );
}
