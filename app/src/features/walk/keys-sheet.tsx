import { View } from 'react-native';
import { Body, Heading, Sheet } from '@/design';
import { useWordList, useWords } from '@/i18n';

/** The keyboard of the walk. */
export function KeysSheet({ onClose }: { readonly onClose: () => void }) {
  const t = useWords();
  const rows = useWordList('keys.rows') as unknown as readonly (readonly [string, string])[];
  return (
    <Sheet title={t('keys.title')} closeTitle={t('close')} onClose={onClose}>
      {rows.map(([key, what]) => (
        <View key={key} className="flex-row items-center gap-4">
          <Heading level={3} className="w-36">
            {key}
          </Heading>
          <Body>{what}</Body>
        </View>
      ))}
    </Sheet>
  );
}
