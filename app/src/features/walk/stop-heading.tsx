import type { Stop } from '@nazar/core/planning';
import { View } from 'react-native';
import { Body, Heading, Soft } from '@/design';
import { useWords } from '@/i18n';

interface StopHeadingProps {
  readonly stop: Stop;
  readonly number: number;
  readonly of: number;
  /** Its tag was read. */
  readonly isProven: boolean;
  /** The phone does not let its screen be kept awake. */
  readonly isDimming: boolean;
  /** The plan is made again at this moment, or does not know the rig as it is now. */
  readonly plan: 'busy' | 'stale' | undefined;
}

/** Which stop this is, and what is to be known of the plan. */
export function StopHeading({ stop, number, of, isProven, isDimming, plan }: StopHeadingProps) {
  const t = useWords();
  return (
    <>
      <View className="px-4 pb-1 pt-1">
        <Soft>
          {t('walk.stop', { number, of })} · {stop.zone.unit.number}
          {isProven ? ` · ${t('tag.proven')}` : ''}
          {isDimming ? ` · ${t('awake.not')}` : ''}
        </Soft>
        <Heading level={1} className="text-3xl">
          {stop.zone.title}
        </Heading>
      </View>
      {plan === 'stale' ? <Body className="px-4">{t('plan.stale')}</Body> : null}
      {plan === 'busy' ? (
        <Body className="px-4" live>
          {t('plan.busy')}
        </Body>
      ) : null}
    </>
  );
}
