import { Pressable } from 'react-native';
import { Body } from '@/design';
import { useWords } from '@/i18n';
import type { KeptPlan } from '@/state/walk';
import { TurnBanner } from './turn-banner';

interface NewsProps {
  /** What changed in the plan, until it is put away. */
  readonly told: KeptPlan['told'];
  /** The stop that comes next by the new plan. */
  readonly stop: string;
  readonly onGo: () => void;
  /** Seconds by which the clock of the phone was moved; undefined when it was not. */
  readonly clockMoved: number | undefined;
  readonly onClockRead: () => void;
}

/** What has happened meanwhile: to the plan, to the clock of the phone. */
export function News({ told, stop, onGo, clockMoved, onClockRead }: NewsProps) {
  const t = useWords();
  return (
    <>
      {told ? <TurnBanner told={told} stop={stop} onGo={onGo} /> : null}
      {clockMoved !== undefined ? (
        <Pressable
          role="button"
          onPress={onClockRead}
          className="min-h-touch justify-center bg-chalk px-4"
        >
          <Body className="text-on-chalk">
            {t('clock.moved', { minutes: Math.round(clockMoved / 6) / 10 })}
          </Body>
        </Pressable>
      ) : null}
    </>
  );
}
