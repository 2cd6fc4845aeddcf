import { atPlace } from '@nazar/core/catalogue';
import { memo } from 'react';
import { FlatList, Pressable, Text, View } from 'react-native';
import { Bead, Button } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import type { DefectRecord } from '@/state';

interface DefectListProps {
  readonly defects: readonly DefectRecord[];
  readonly chosen: string | undefined;
  readonly more: boolean;
  readonly onChoose: (id: string) => void;
  readonly onMore: () => void;
}

const ROW = 92;

/** The workshop's queue. */
export function DefectList({ defects, chosen, more, onChoose, onMore }: DefectListProps) {
  const t = useWords();
  return (
    <FlatList
      data={defects}
      keyExtractor={({ id }) => id}
      getItemLayout={(_, index) => ({ length: ROW, offset: ROW * index, index })}
      renderItem={({ item }) => (
        <DefectRow defect={item} isChosen={item.id === chosen} onChoose={onChoose} />
      )}
      ListFooterComponent={
        more ? <Button className="m-3" title={t('workshop.more')} onPress={onMore} /> : null
      }
    />
  );
}

const DefectRow = memo(function DefectRow({
  defect,
  isChosen,
  onChoose,
}: {
  readonly defect: DefectRecord;
  readonly isChosen: boolean;
  readonly onChoose: (id: string) => void;
}) {
  const t = useWords();
  return (
    <Pressable
      role="button"
      aria-current={isChosen ? 'true' : undefined}
      onPress={() => onChoose(defect.id)}
      style={{ height: ROW }}
      className={`flex-row items-center gap-3 border-b border-line px-4 ${isChosen ? 'bg-raised' : ''}`}
    >
      <Bead state={defect.grade} size={34} />
      <View className="min-w-0 flex-1">
        <Text numberOfLines={1} className="font-head text-xl text-ink">
          {defect.unitNumber} · {atPlace(defect.title, defect.place)}
        </Text>
        <Text numberOfLines={1} className="font-text text-base text-ink">
          {defect.symptom}
        </Text>
        <Text numberOfLines={1} className="font-text text-sm text-soft">
          {lineOf(defect, t)}
        </Text>
      </View>
    </Pressable>
  );
});

/** Grade and age, and what makes it pressing. */
function lineOf(defect: DefectRecord, t: ReturnType<typeof useWords>): string {
  return [
    t(`grade.${defect.grade}`),
    defect.neededAt && t('workshop.neededShort', { when: formatWhen(defect.neededAt) }),
    defect.returnOf && t('cameBack'),
    defect.status === 'awaiting-agent' && t('workshop.second'),
    defect.status === 'deferred' && `${t('outcome.deferred')} ${defect.until ?? ''}`,
    formatWhen(defect.reportedAt),
    defect.assignedTo ?? defect.reportedBy,
  ]
    .filter(Boolean)
    .join(' · ');
}
