import { Pressable, View } from 'react-native';
import { SignalWords } from '@/design';
import { useWords } from '@/i18n';
import type { Walk } from '@/state/walk';

/** How much of the walk is answered, as a tape. */
export function Progress({ share }: { readonly share: number }) {
  return (
    <View className="h-1.5 w-full bg-line" aria-hidden>
      <View className="h-full bg-cobalt" style={{ width: `${Math.round(share * 100)}%` }} />
    </View>
  );
}

/** Cautions of a stop, once: a touch puts them away until the next stop. */
export function StopCautions({
  cautions,
  onRead,
}: {
  readonly cautions:
    | Parameters<typeof SignalWords>[0]['caution'][]
    | NonNullable<Walk['stops'][number]['zone']['cautions']>;
  readonly onRead: () => void;
}) {
  const t = useWords();
  return (
    <Pressable
      role="button"
      aria-label={`${cautions.map(({ signal, words }) => `${signal}. ${words}`).join(' ')} ${t('close')}`}
      onPress={onRead}
      className="gap-1"
    >
      {cautions.map((caution) => (
        <SignalWords key={caution.words} caution={caution} />
      ))}
    </Pressable>
  );
}
