import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Soft } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { ApiProblem, endSession, useSessions } from '@/state';

/** Where the person is signed in; what they have lost or do not know they end here. */
export function SessionsList() {
  const t = useWords();
  const { value: sessions, trouble, reload } = useSessions();
  const [failure, setFailure] = useState<string>();
  const end = async (id: string) => {
    try {
      await endSession(id);
      setFailure(undefined);
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setFailure(error.detail || t('you.sessionsOffline'));
    }
    reload();
  };
  return (
    <View className="gap-1" role="group" aria-label={t('you.sessions')}>
      <Body className="font-thick">{t('you.sessions')}</Body>
      {trouble ? (
        <Soft>{trouble === 'offline' ? t('you.sessionsOffline') : trouble.sentence}</Soft>
      ) : null}
      {failure ? <Body role="alert">{failure}</Body> : null}
      {sessions?.map(({ id, device, openedAt, here }) => {
        const name = `${device || t('you.unknownDevice')}, ${formatWhen(openedAt)}`;
        return (
          <View key={id} className="flex-row items-center gap-2">
            <Body className="flex-1">{here ? t('you.here', { name }) : name}</Body>
            {here ? null : (
              <Button
                title={t('you.end')}
                label={t('you.endOf', { name })}
                onPress={() => void end(id)}
              />
            )}
          </View>
        );
      })}
    </View>
  );
}
