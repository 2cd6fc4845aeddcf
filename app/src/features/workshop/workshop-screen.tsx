import { useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { Body, Button, Screen } from '@/design';
import { useWords } from '@/i18n';
import { useSession, useSync, useWorkshop, type Comparison } from '@/state';
import { DefectDetail } from './defect-detail';
import { DefectList } from './defect-list';

export interface WorkshopScreenProps {
  readonly onReport: (reportId: string) => void;
  readonly onLogbook: (unitId: string) => void;
  readonly onCompare: (what: Comparison) => void;
  readonly onDesk: () => void;
  readonly onToday: () => void;
  readonly onYou: () => void;
}

/** What to mend first; the chosen defect beside the list on a wide screen. */
export function WorkshopScreen(props: WorkshopScreenProps) {
  const { onReport, onLogbook, onCompare, onDesk, onToday, onYou } = props;
  const t = useWords();
  const { width } = useWindowDimensions();
  const wide = width >= 900;
  const person = useSession((state) => state.person);
  const [chosen, setChosen] = useState<string>();
  const [done, setDone] = useState<string>();
  // Also what was signed without a network counts at some time, and leaves the list then.
  const read = useWorkshop(useSync((state) => state.arrivals));
  const { defects, counts, more, loadMore } = read;
  const trouble = read.trouble === 'offline' ? t('workshop.offline') : read.trouble?.sentence;
  if (!person) return null;
  const defect = defects?.find(({ id }) => id === chosen) ?? (wide ? defects?.[0] : undefined);
  const total = Object.values(counts).reduce((sum, count) => sum + count, 0);
  const list = defects ? (
    <DefectList
      defects={defects}
      chosen={defect?.id}
      more={more}
      onChoose={(id) => {
        setChosen(id);
        setDone(undefined);
      }}
      onMore={loadMore}
    />
  ) : (
    <Body className="p-4">{trouble ?? t('loading')}</Body>
  );
  const detail = defect ? (
    <DefectDetail
      key={defect.id}
      defect={defect}
      wide={wide}
      role={person.role}
      personId={person.id}
      personName={person.name}
      onReport={onReport}
      onLogbook={onLogbook}
      onCompare={onCompare}
      onDone={(sentence) => {
        setDone(sentence);
        setChosen((before) => (before === defect.id ? undefined : before));
      }}
    />
  ) : (
    <Body className="p-6">{t('workshop.choose')}</Body>
  );
  return (
    <Screen
      width="wide"
      scrolls={false}
      title={t('workshop.title')}
      below={`${t('workshop.open', { count: total })} · ${t('workshop.counts', {
        major: counts.major ?? 0,
        minor: counts.minor ?? 0,
        note: counts.note ?? 0,
      })}`}
      actions={
        <>
          {!wide && chosen ? (
            <Button look="quiet" title={t('back')} onPress={() => setChosen(undefined)} />
          ) : (
            <Button look="quiet" title={t('today.toToday')} onPress={onToday} />
          )}
          {person.role === 'supervisor' ? (
            <Button look="quiet" title={t('desk.title')} onPress={onDesk} />
          ) : null}
          <Button look="quiet" title={t('you.title')} onPress={onYou} />
        </>
      }
    >
      {done || (trouble && defects) ? (
        <Body live className="bg-raised px-4 py-2 font-thick">
          {trouble ?? done}
        </Body>
      ) : null}
      {defects?.length === 0 ? <Body className="p-4">{t('workshop.empty')}</Body> : null}
      {wide ? (
        <View className="min-h-0 flex-1 flex-row">
          <View className="w-[400px] border-r border-line">{list}</View>
          <View className="min-h-0 flex-1">{detail}</View>
        </View>
      ) : (
        <View className="min-h-0 flex-1">{chosen && defect ? detail : list}</View>
      )}
    </Screen>
  );
}
