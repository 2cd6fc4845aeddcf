import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Body, Button, Sheet, Soft } from '@/design';
import { useWords } from '@/i18n';
import { useLog, useSync } from '@/state';
import { RefusedList } from './refused-list';

/** `onSignIn` is left out where one signs in anyway. The one place that says in plain words how far the entries have got. */
export function SavingLine({ onSignIn }: { readonly onSignIn?: () => void }) {
  const t = useWords();
  const sync = useSync();
  const trouble = useLog((state) => state.trouble);
  const [showRefused, setShowRefused] = useState(false);
  const { waiting, ofOthers, refused, trouble: network } = sync;
  const words =
    network === 'sign-in-needed'
      ? t('saving.signIn', { count: waiting })
      : network === 'server-away'
        ? t('saving.away', { count: waiting })
        : network === 'offline'
          ? t(waiting > 0 ? 'saving.offline' : 'saving.offlineNone', { count: waiting })
          : sync.busy && waiting > 0
            ? t('saving.sending', { count: waiting })
            : waiting > 0
              ? t('saving.waiting', { count: waiting })
              : t('saving.saved');
  return (
    <View>
      {trouble ? (
        <View role="alert" className="flex-row items-center gap-2 bg-vermilion px-4 py-2">
          <Body className="shrink text-on-vermilion">{t(`trouble.${trouble}`)}</Body>
          <Button
            look="quiet"
            title={t('close')}
            onPress={() => useLog.getState().dismissTrouble()}
          />
        </View>
      ) : null}
      <Soft aria-live="polite" testID="saving" className="px-4 py-1 text-center text-sm">
        {words}
        {ofOthers > 0 ? ` · ${t('saving.others', { count: ofOthers })}` : ''}
      </Soft>
      {network === 'sign-in-needed' && onSignIn ? (
        <View className="px-4 pb-2">
          <Button look="main" title={t('signIn.go')} onPress={onSignIn} />
        </View>
      ) : null}
      {refused > 0 ? (
        <Pressable
          role="button"
          onPress={() => setShowRefused(true)}
          className="min-h-touch justify-center bg-chalk px-4 py-2"
        >
          <Body className="text-center text-on-chalk">
            {t('saving.refused', { count: refused })}
          </Body>
        </Pressable>
      ) : null}
      {showRefused ? (
        <Sheet
          title={t('saving.refusedTitle')}
          closeTitle={t('close')}
          onClose={() => setShowRefused(false)}
        >
          <RefusedList />
        </Sheet>
      ) : null}
    </View>
  );
}
