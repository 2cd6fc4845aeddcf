import { useState } from 'react';
import { Body, Button, Columns, Screen, Soft } from '@/design';
import { useWords } from '@/i18n';
import { ApiProblem, useHouseRules, useReference, useSession } from '@/state';
import { CalendarCard } from './calendar-card';
import { PolicyCard } from './policy-card';
import { RetentionCard } from './retention-card';

export interface RulesScreenProps {
  readonly onContent: () => void;
  readonly onBack: () => void;
}

/** House rules of the depot: who is graded by what, how long records are kept, the calendar. */
export function RulesScreen({ onContent, onBack }: RulesScreenProps) {
  const t = useWords();
  const person = useSession((state) => state.person);
  const { value: rules, trouble, reload } = useHouseRules();
  const depot = useReference((state) => state.reference?.depot.name);
  const [refused, setRefused] = useState<string>();
  if (!person) return null;
  const mayChange = person.role === 'supervisor';
  const act = async (work: () => Promise<unknown>) => {
    try {
      await work();
      setRefused(undefined);
      reload();
      await useReference.getState().refresh(person.id);
      return true;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setRefused(error.detail || t('trouble.offline'));
      return false;
    }
  };
  return (
    <Screen
      title={t('rules.title')}
      below={depot}
      width="columns"
      actions={<Button look="quiet" title={t('back')} onPress={onBack} />}
    >
      {trouble ? (
        <Body role="alert">{trouble === 'offline' ? t('rules.offline') : trouble.sentence}</Body>
      ) : null}
      {refused
        ? refused.split('\n').map((line) => (
            <Body key={line} role="alert" className="font-thick text-vermilion">
              {line}
            </Body>
          ))
        : null}
      {!rules && !trouble ? <Body>{t('loading')}</Body> : null}
      {rules ? (
        <Columns
          left={
            <>
              <Button
                start
                title={t('content.screen')}
                note={t('content.link')}
                onPress={onContent}
              />
              <PolicyCard rules={rules} mayChange={mayChange} act={act} />
            </>
          }
          right={
            <>
              <RetentionCard rules={rules} mayChange={mayChange} act={act} />
              {mayChange ? <CalendarCard /> : null}
              <Soft>{t('guide')}</Soft>
            </>
          }
        />
      ) : null}
    </Screen>
  );
}
