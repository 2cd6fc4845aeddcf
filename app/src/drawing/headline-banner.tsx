import type { Headline } from '@nazar/core/grading';
import { Text, View } from 'react-native';
import { Bead } from '@/design';
import { useWords } from '@/i18n';

const LOOK: Readonly<Record<Headline, readonly [box: string, word: string]>> = {
  rolls: ['bg-raised border-cobalt', 'text-ink'],
  limits: ['bg-chalk border-ink', 'text-on-chalk'],
  stays: ['bg-vermilion border-ink', 'text-on-vermilion'],
};

/** May it roll: the word first, then shape and colour. */
export function HeadlineBanner({ headline }: { readonly headline: Headline }) {
  const t = useWords();
  const [box, word] = LOOK[headline];
  return (
    <View className={`flex-row items-center gap-4 rounded-2xl border-4 p-4 ${box}`}>
      {headline === 'stays' ? (
        // The solid block, in the colour of the word: on this ground its own would not be seen.
        <View className="h-12 w-12 bg-on-vermilion" aria-hidden />
      ) : (
        <View className="rounded-full bg-raised p-1">
          <Bead size={44} state={headline === 'rolls' ? 'sound' : 'minor'} />
        </View>
      )}
      <Text role="heading" aria-level={2} className={`shrink font-head text-4xl ${word}`}>
        {t(`headline.${headline}`)}
      </Text>
    </View>
  );
}
