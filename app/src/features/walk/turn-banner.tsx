import type { ReplanReason } from '@nazar/core/walking';
import { View } from 'react-native';
import { Body, Button, Heading } from '@/design';
import { useWords } from '@/i18n';
import type { ToldReplan } from '@/state/walk';

interface TurnBannerProps {
  readonly told: ToldReplan;
  /** Where the plan goes on. */
  readonly stop: string;
  readonly onGo: () => void;
}

/** The plan was made again: what happened, what it changed, and where it goes on. */
export function TurnBanner({ told, stop, onGo }: TurnBannerProps) {
  const t = useWords();
  const sentence = (turn: ReplanReason) => {
    switch (turn.code) {
      case 'turned':
        return t(told.added > 0 ? 'turn.turned' : 'turn.turnedOnly', {
          circumstances: turn.circumstances.map((each) => t(`turn.now-${each}`)).join(', '),
          count: told.added,
        });
      case 'found': {
        const what = t(`changeFound.${turn.change}`);
        return t('turn.found', {
          what: turn.number === undefined ? what : `${what} (${turn.number})`,
        });
      }
      case 'forbidden':
        return t(turn.unseen ? 'turn.unseen' : 'turn.forbidden', { ...turn });
      default:
        return t(`turn.${turn.code}`, { ...turn });
    }
  };
  return (
    <View
      role="alert"
      testID="turn"
      className="flex-row items-center gap-3 border-y-4 border-chalk bg-surface px-4 py-1"
    >
      <View className="min-w-0 flex-1">
        <Heading level={2} className="text-xl">
          {t('turn.title')}
        </Heading>
        {told.turns.map((turn) => (
          <Body key={turn.id}>{sentence(turn)}</Body>
        ))}
        {told.moved > 0 ? <Body>{t('turn.moved', { count: told.moved })}</Body> : null}
      </View>
      <Button look="main" className="w-[38%]" title={t('turn.now', { stop })} onPress={onGo} />
    </View>
  );
}
