import type { ContentsItem } from '@nazar/core/catalogue';
import { findShort, type CountedItem } from '@nazar/core/inspection';
import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Field, Heading, Sheet } from '@/design';
import { useWords } from '@/i18n';

interface CountSheetProps {
  readonly title: string;
  readonly list: readonly ContentsItem[];
  /** What was counted before in this walk. */
  readonly before?: readonly CountedItem[];
  /** ISO date of today. */
  readonly day: string;
  readonly onKeep: (items: readonly CountedItem[], complete: boolean) => void;
  readonly onClose: () => void;
}

interface Entry {
  readonly found?: number;
  readonly until: string;
}

const DATE = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

/** Counts what belongs in a box: expected and found, and the date that is printed on it. */
export function CountSheet({ title, list, before = [], day, onKeep, onClose }: CountSheetProps) {
  const t = useWords();
  const [entries, setEntries] = useState<Readonly<Record<string, Entry>>>(() =>
    Object.fromEntries(before.map(({ id, found, until }) => [id, { found, until: until ?? '' }])),
  );
  const [trouble, setTrouble] = useState<Readonly<Record<string, string>>>({});
  const entryOf = (id: string): Entry => entries[id] ?? { until: '' };
  const change = (id: string, part: Partial<Entry>) =>
    setEntries((all) => ({ ...all, [id]: { ...(all[id] ?? { until: '' }), ...part } }));
  const keep = () => {
    const found: Record<string, string> = {};
    for (const item of list) {
      const entry = entryOf(item.id);
      if (entry.found === undefined) found[item.id] = t('count.needCount');
      else if (item.expires && entry.found > 0 && !DATE.test(entry.until.trim()))
        found[item.id] = t('count.needDate');
    }
    setTrouble(found);
    if (Object.keys(found).length > 0) return;
    const items = list.map((item): CountedItem => {
      const entry = entryOf(item.id);
      const until = entry.until.trim();
      return { id: item.id, found: entry.found ?? 0, ...(item.expires && until && { until }) };
    });
    onKeep(items, findShort(list, items, day).length === 0);
  };
  const all = () =>
    setEntries((now) =>
      Object.fromEntries(
        list.map(({ id, count }) => [id, { found: count, until: now[id]?.until ?? '' }]),
      ),
    );
  return (
    <Sheet
      title={title}
      closeTitle={t('close')}
      onClose={onClose}
      foot={
        <View className="flex-row gap-2">
          <Button className="min-h-[64px] flex-1" title={t('count.all')} onPress={all} />
          <Button
            look="main"
            className="min-h-[64px] flex-1"
            title={t('count.keep')}
            onPress={keep}
          />
        </View>
      }
    >
      {list.map((item) => {
        const entry = entryOf(item.id);
        const found = entry.found ?? 0;
        return (
          <View key={item.id} role="group" aria-label={item.title} className="gap-1 py-1">
            <View className="flex-row items-center gap-2">
              <Body className="min-w-0 flex-1 font-thick">
                {item.title} · {t('count.expected', { count: item.count })}
              </Body>
              <Button
                title="−"
                label={t('count.less', { title: item.title })}
                disabled={entry.found === undefined || found === 0}
                onPress={() => change(item.id, { found: found - 1 })}
              />
              <Heading level={3} className="w-10 text-center">
                {entry.found ?? '–'}
              </Heading>
              <Button
                title="+"
                label={t('count.more', { title: item.title })}
                onPress={() => change(item.id, { found: found + 1 })}
              />
            </View>
            {item.expires ? (
              <Field
                label={t('count.until', { title: item.title })}
                hint={t('count.untilHint')}
                value={entry.until}
                onChange={(until) => change(item.id, { until })}
                maxLength={10}
                inputMode="numeric"
              />
            ) : null}
            {trouble[item.id] ? (
              <Body role="alert" className="font-thick text-vermilion">
                {trouble[item.id]}
              </Body>
            ) : null}
          </View>
        );
      })}
    </Sheet>
  );
}
