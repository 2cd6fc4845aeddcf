import { Pressable } from 'react-native';
import { Body } from '@/design';
import { useWords } from '@/i18n';

/** Repairs that are still to be read, at the foot of the walk. */
export function RepairsBar({
  count,
  onOpen,
}: {
  readonly count: number;
  readonly onOpen: () => void;
}) {
  const t = useWords();
  return (
    <Pressable role="button" onPress={onOpen} className="min-h-touch justify-center bg-chalk px-4">
      <Body className="text-center font-thick text-on-chalk">
        {t('today.repairs')}: {count}
      </Body>
    </Pressable>
  );
}
