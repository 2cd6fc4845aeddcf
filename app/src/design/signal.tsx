import type { Caution } from '@nazar/core/catalogue';
import { memo } from 'react';
import { Text, View } from 'react-native';

const LOOK: Readonly<Record<Caution['signal'], readonly [box: string, word: string]>> = {
  DANGER: ['bg-vermilion', 'text-on-vermilion'],
  WARNING: ['bg-chalk', 'text-on-chalk'],
  CAUTION: ['border-2 border-chalk bg-raised', 'text-ink'],
  NOTICE: ['border-2 border-line bg-raised', 'text-ink'],
};

/** One caution with its public signal word. */
export const SignalWords = memo(function SignalWords({ caution }: { readonly caution: Caution }) {
  const [box, word] = LOOK[caution.signal];
  return (
    <View className={`flex-row items-start gap-3 rounded-lg px-3 py-2 ${box}`}>
      <Text className={`font-head text-lg ${word}`}>{caution.signal}</Text>
      <Text className={`shrink pt-0.5 font-text text-base ${word}`}>{caution.words}</Text>
    </View>
  );
});
