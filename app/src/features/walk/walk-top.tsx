import type { VehicleState } from '@nazar/core/walking';
import { Text, View } from 'react-native';
import { Button } from '@/design';
import { useWords } from '@/i18n';
import type { Walk } from '@/state/walk';
import { Progress } from './board-parts';
import { StateBar } from './state-bar';

interface WalkTopProps {
  readonly walk: Walk;
  readonly state: VehicleState;
  readonly onLeave: () => void;
  readonly onStops: () => void;
  readonly onStand: () => void;
  readonly onHappening: () => void;
}

/** Which rig, how much of it is answered, how it stands, and what may have happened to it. */
export function WalkTop({ walk, state, ...on }: WalkTopProps) {
  const t = useWords();
  const { assessment, rig } = walk;
  return (
    <>
      <View className="mx-auto w-full max-w-[1280px] flex-row items-center justify-between px-2">
        <Button look="quiet" title={t('walk.leave')} onPress={on.onLeave} />
        <Text className="shrink font-head text-lg text-ink">
          {rig.units.map(({ unit }) => unit.number).join(' + ')} ·{' '}
          {t('walk.progress', { done: assessment.answered, total: assessment.total })}
        </Text>
        <Button look="quiet" title={t('walk.stops')} onPress={on.onStops} />
      </View>
      <Progress share={assessment.answered / assessment.total} />
      <View className="mx-auto w-full max-w-[1280px] flex-row items-center border-b border-line px-1">
        <StateBar state={state} onOpen={on.onStand} />
        <Button look="quiet" title="…" label={t('happening.open')} onPress={on.onHappening} />
      </View>
    </>
  );
}
