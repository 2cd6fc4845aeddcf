import { readCode } from '@nazar/core/inspection';
import { useCallback, useState } from 'react';
import { Body, Button, Field, Screen, Soft } from '@/design';
import { CodeCamera } from '@/drawing';
import { useWords } from '@/i18n';
import { ApiProblem, OFFLINE, useSession } from '@/state';
import { findWalkToHelp, useWalkSession } from '@/state/walk';

export interface JoinScreenProps {
  readonly onJoined: (inspectionId: string) => void;
  readonly onBack: () => void;
}

/** A helper finds the walk by the code that its driver reads out, or shows. */
export function JoinScreen({ onJoined, onBack }: JoinScreenProps) {
  const { log, uplink } = useWalkSession();
  const t = useWords();
  const person = useSession((state) => state.person);
  const [typed, setTyped] = useState('');
  const [scanning, setScanning] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  const [busy, setBusy] = useState(false);
  const onRefused = useCallback(() => {
    setScanning(false);
    setTrouble(t('tag.noCamera'));
  }, [t]);
  const onSeen = useCallback((text: string) => {
    setScanning(false);
    setTyped(readCode(text).slice(0, 5));
  }, []);
  if (!person) return null;
  const join = async () => {
    setBusy(true);
    try {
      const { inspectionId, back } = await findWalkToHelp(typed);
      if (!back)
        await log.append([
          {
            inspectionId,
            actorId: person.id,
            type: 'joined',
            payload: { name: person.name, phone: true },
          },
        ]);
      // The driver sees who helps only once it has arrived.
      await uplink.send();
      onJoined(inspectionId);
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setTrouble(error.code === OFFLINE ? t('helping.joinOffline') : error.detail);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Screen
      title={t('helping.joinTitle')}
      actions={<Button look="quiet" title={t('back')} onPress={onBack} />}
      foot={
        <Button
          look="main"
          className="min-h-[64px]"
          title={t('helping.joinGo')}
          disabled={busy || readCode(typed).length !== 5}
          onPress={() => void join()}
        />
      }
    >
      <Body>{t('helping.joinWhy')}</Body>
      <Field
        label={t('helping.codeField')}
        value={typed}
        onChange={(value) => {
          setTrouble(undefined);
          setTyped(value.toUpperCase());
        }}
        maxLength={9}
        autoCapitalize="characters"
        autoCorrect={false}
        trouble={trouble}
      />
      {scanning ? (
        <CodeCamera onSeen={onSeen} onRefused={onRefused} />
      ) : (
        <Button title={t('tag.scan')} onPress={() => setScanning(true)} />
      )}
      <Soft>{t('helping.driversOwn')}</Soft>
    </Screen>
  );
}
