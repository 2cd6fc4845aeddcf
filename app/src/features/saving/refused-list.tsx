import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Body, Card, Soft } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { listRefused, type RefusedEntry } from '@/state';

/** What the server did not take, with its sentence; nothing of it is dropped. */
export function RefusedList() {
  const t = useWords();
  const [entries, setEntries] = useState<readonly RefusedEntry[]>([]);
  useEffect(() => {
    void listRefused().then(setEntries);
  }, []);
  return (
    <View className="gap-3">
      <Body>{t('saving.refusedWhy')}</Body>
      {entries.map((entry) => (
        <Card key={entry.id}>
          <Body className="font-thick">{entry.detail}</Body>
          <Soft>
            {entry.type} · {formatWhen(entry.at)}
          </Soft>
        </Card>
      ))}
    </View>
  );
}
