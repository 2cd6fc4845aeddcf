import { partAt } from '@nazar/core/catalogue';
import { wordsOf } from '@nazar/core/inspection';
import type { Forbidden } from '@nazar/core/walking';
import { View } from 'react-native';
import { Body, Button, Heading, Soft } from '@/design';
import { useWords } from '@/i18n';

interface ForbiddenCardProps {
  readonly forbidden: Forbidden;
  readonly onLeave: (reason: string) => void;
  readonly onFault: () => void;
}

/** What was found, in the words of the check. */
function symptomOf({ instance, answer, judgement }: Forbidden['because']): string {
  if (answer?.outcome === 'fault') return wordsOf(instance.check, answer.fault).toLowerCase();
  const id = judgement && 'symptom' in judgement ? judgement.symptom : undefined;
  return (instance.check.symptoms.find((each) => each.id === id)?.words ?? '').toLowerCase();
}

/** A test that must not be made because of what was found. It is left out, with the reason. */
export function ForbiddenCard({ forbidden, onLeave, onFault }: ForbiddenCardProps) {
  const t = useWords();
  const { because } = forbidden;
  const { check, place } = because.instance;
  const symptom = symptomOf(because);
  const unseen = because.state === 'not-looked';
  const fault = partAt(check, place);
  return (
    <View className="gap-2" testID="forbidden" role="alert">
      <Heading level={3}>{t('forbidden.title')}</Heading>
      <Body>{t(unseen ? 'forbidden.unseen' : 'forbidden.why', { fault, symptom })}</Body>
      <Soft>{t('forbidden.wayOn')}</Soft>
      <Button title={t('walk.fault')} onPress={onFault} />
      <Button
        look="main"

        testID="leave-out"
        title={t('forbidden.leave')}
        onPress={() =>
          onLeave(
            t(unseen ? 'forbidden.unseenReason' : 'forbidden.reason', { fault, symptom }).slice(
              0,
              300,
            ),
          )
        }
      />
    </View>
  );
}
