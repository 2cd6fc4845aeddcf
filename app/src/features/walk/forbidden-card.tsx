import type { Forbidden } from '@nazar/core/walking';
import { View } from 'react-native';
import { Body, Button, Heading } from '@/design';
import { useWords } from '@/i18n';

interface ForbiddenCardProps {
  readonly forbidden: Forbidden;
  readonly onLeave: (reason: string) => void;
  readonly onFault: () => void;
}

/** A test that must not be made because of what was found. It is left out, with the reason. */
export function ForbiddenCard({ forbidden, onLeave, onFault }: ForbiddenCardProps) {
  const t = useWords();
  const { check, place } = forbidden.because.instance;
  const fault = place ? `${check.title} (${place.title})` : check.title;
  return (
    <View className="gap-2" testID="forbidden" role="alert">
      <Heading level={3}>{t('forbidden.title')}</Heading>
      <Body>{t('forbidden.why', { fault })}</Body>
      <Button title={t('walk.fault')} onPress={onFault} />
      <Button
        look="main"
        className="min-h-[72px]"
        testID="leave-out"
        title={t('forbidden.leave')}
        onPress={() => onLeave(t('forbidden.reason', { fault }).slice(0, 300))}
      />
    </View>
  );
}
