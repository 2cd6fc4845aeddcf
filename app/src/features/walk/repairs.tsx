import type { UnreadRepair } from '@nazar/core/grading';
import { View } from 'react-native';
import { Body, Button, Heading, Sheet } from '@/design';
import { useWords } from '@/i18n';

interface RepairsProps {
  readonly repairs: readonly UnreadRepair[];
  readonly onAcknowledge: (defectId: string) => void;
  readonly onClose: () => void;
}

/** Repairs since the last walk, read and acknowledged one by one. */
export function RepairsSheet({ repairs, onAcknowledge, onClose }: RepairsProps) {
  const t = useWords();
  return (
    <Sheet title={t('today.repairs')} closeTitle={t('close')} onClose={onClose}>
      <Body>{t('today.repairsWhy')}</Body>
      {repairs.map((repair) => (
        <View key={repair.defectId} className="gap-2 rounded-2xl border border-line bg-raised p-4">
          <Heading level={3}>{repair.title}</Heading>
          <Body>{repair.words}</Body>
          <Button
            look="main"
            title={t('walk.acknowledge')}
            label={`${t('walk.acknowledge')}: ${repair.title}`}
            onPress={() => onAcknowledge(repair.defectId)}
          />
        </View>
      ))}
    </Sheet>
  );
}
