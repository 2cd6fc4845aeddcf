import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Field, Heading, Mark, Screen } from '@/design';
import { useWords } from '@/i18n';
import { ApiProblem, OFFLINE, syncNow, useSession } from '@/state';

/** Name and PIN. */
export function SignInScreen({ onSignedIn }: { readonly onSignedIn: () => void }) {
  const t = useWords();
  const { expired, person, signIn } = useSession();
  const [name, setName] = useState(person?.name ?? '');
  const [pin, setPin] = useState('');
  const [trouble, setTrouble] = useState<string>();
  const [busy, setBusy] = useState(false);

  const go = async () => {
    if (busy) return;
    setBusy(true);
    setTrouble(undefined);
    try {
      await signIn(name, pin);
      void syncNow();
      onSignedIn();
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setPin('');
      setTrouble(
        error.code === OFFLINE ? t('signIn.offline') : error.detail || t('trouble.unexpected'),
      );
    } finally {
      setBusy(false);
    }
  };

  return (
    <Screen>
      <View className="flex-1 items-center gap-3 pb-2 pt-10">
        <Mark size={112} />
        <Heading level={1} className="text-6xl">
          {t('brand')}
        </Heading>
        <Body className="max-w-[300px] text-center text-soft">{t('signIn.promise')}</Body>
      </View>
      {expired ? <Body className="font-thick">{t('signIn.again')}</Body> : null}
      <Field
        label={t('signIn.name')}
        hint={t('signIn.nameHint')}
        value={name}
        onChange={setName}
        autoComplete="username"
        autoCapitalize="words"
        maxLength={80}
      />
      <Field
        label={t('signIn.pin')}
        value={pin}
        onChange={(typed) => setPin(typed.replace(/\D/g, ''))}
        trouble={trouble}
        secureTextEntry
        inputMode="numeric"
        autoComplete="current-password"
        maxLength={12}
        onSubmitEditing={() => void go()}
      />
      <Button
        look="main"
        className="min-h-[64px]"
        title={t('signIn.go')}
        disabled={busy || name.trim() === '' || pin.length < 4}
        onPress={() => void go()}
      />
    </Screen>
  );
}
