import { View } from 'react-native';
import { Body, Button } from '@/design';
import { useWords } from '@/i18n';
import { useReference, type DefectRecord } from '@/state';
import { useSend } from './use-send';

interface AssignRowProps {
  readonly defect: DefectRecord;
  readonly personId: string;
  readonly onChanged: () => void;
}

/** Whose bench it is on. */
export function AssignRow({ defect, personId, onChanged }: AssignRowProps) {
  const t = useWords();
  const mechanics = useReference((state) => state.reference?.mechanics) ?? [];
  const { send, trouble } = useSend(defect.inspectionId, personId);
  const assign = async (to: string | null) => {
    await send('assigned', { defectId: defect.id, to, revision: defect.revision });
    onChanged();
  };
  return (
    <View className="gap-1" role="group" aria-label={t('workshop.assigned')}>
      <Body className="font-thick">{t('workshop.assigned')}</Body>
      <View className="flex-row flex-wrap gap-2">
        {mechanics.map(({ id, name }) => (
          <Button
            key={id}
            title={name}
            selected={defect.assignedToId === id}
            onPress={() => void assign(defect.assignedToId === id ? null : id)}
          />
        ))}
      </View>
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
    </View>
  );
}
