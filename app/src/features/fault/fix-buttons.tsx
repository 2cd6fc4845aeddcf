import { View } from 'react-native';
import { Button, Heading } from '@/design';
import { useWords } from '@/i18n';

interface FixButtonsProps {
  readonly fixes: readonly string[];
  readonly fixed: string | undefined;
  readonly onChange: (fixed: string | undefined) => void;
}

/** What the driver may put right on the spot, and what was done. */
export function FixButtons({ fixes, fixed, onChange }: FixButtonsProps) {
  const t = useWords();
  return (
    <View className="gap-2">
      <Heading level={3}>{t('fault.fixed')}</Heading>
      {fixes.map((fix) => (
        <Button
          key={fix}
          title={fix}
          start
          selected={fixed === fix}
          onPress={() => onChange(fixed === fix ? undefined : fix)}
        />
      ))}
      <Button
        title={t('fault.notFixed')}
        start
        selected={fixed === undefined}
        onPress={() => onChange(undefined)}
      />
    </View>
  );
}
