import { OTHER_QUESTIONS } from '@nazar/core/grading';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Body, Button, Field, Heading, Screen, Soft } from '@/design';
import { useWords } from '@/i18n';
import type { FaultDraft } from './draft';

interface SomethingElseProps {
  readonly title: string;
  readonly draft: FaultDraft;
  readonly change: (part: Partial<FaultDraft>) => void;
  readonly leave: ReactNode;
}

/** A fault that no list names: in words, and six plain questions from which its grade follows. */
export function SomethingElse({ title, draft, change, leave }: SomethingElseProps) {
  const t = useWords();
  const [missing, setMissing] = useState(false);
  const answers = draft.other ?? {};
  const next = () => {
    if (draft.note.trim().length < 3) setMissing(true);
    else change({ page: 'where' });
  };
  return (
    <Screen
      title={t('fault.title')}
      actions={leave}
      foot={
        <Button
          look="main"
          className="min-h-[64px]"
          testID="else-next"
          title={t('fault.elseNext')}
          onPress={next}
        />
      }
    >
      <Soft>{title}</Soft>
      <Heading level={2}>{t('fault.else')}</Heading>
      <Field
        label={t('fault.elseWords')}
        hint={t('fault.elseHint')}
        value={draft.note}
        onChange={(note) => change({ note })}
        multiline
        maxLength={1000}
      />
      {missing && draft.note.trim().length < 3 ? (
        <Body role="alert">{t('fault.elseMissing')}</Body>
      ) : null}
      <Soft>{t('fault.elseWhy')}</Soft>
      {OTHER_QUESTIONS.map((question) => (
        <View
          key={question}
          className="gap-2"
          role="group"
          aria-label={t(`fault.other.${question}`)}
        >
          <Body className="font-thick">{t(`fault.other.${question}`)}</Body>
          <View className="flex-row gap-2">
            {([true, false] as const).map((answer) => (
              <Button
                key={String(answer)}
                className="flex-1"
                testID={`${question}-${answer ? 'yes' : 'no'}`}
                selected={answers[question] === answer}
                title={t(answer ? 'fault.elseYes' : 'fault.elseNo')}
                onPress={() => change({ other: { ...answers, [question]: answer } })}
              />
            ))}
          </View>
        </View>
      ))}
      <Button look="quiet" title={t('fault.former')} onPress={() => change({ page: 'what' })} />
    </Screen>
  );
}
