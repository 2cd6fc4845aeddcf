import type { Stop } from '@nazar/core/planning';
import { View } from 'react-native';
import { Bead, Button, Sheet, type BeadState } from '@/design';
import { useWords } from '@/i18n';

interface StopsSheetProps {
  readonly stops: readonly Stop[];
  readonly currentKey: string;
  readonly stateOf: (stop: Stop) => BeadState;
  readonly openOf: (stop: Stop) => number;
  readonly onChoose: (index: number) => void;
  readonly onClose: () => void;
}

/** Every stop of the walk, to skip ahead or go back to. */
export function StopsSheet({ onClose, ...list }: StopsSheetProps) {
  const t = useWords();
  return (
    <Sheet title={t('walk.stops')} closeTitle={t('close')} onClose={onClose}>
      <StopList {...list} />
    </Sheet>
  );
}

/** The stops as beads in the order of the walk. */
export function StopList({
  stops,
  currentKey,
  stateOf,
  openOf,
  onChoose,
}: Omit<StopsSheetProps, 'onClose'>) {
  const t = useWords();
  return (
    <View className="gap-2">
      {stops.map((stop, index) => (
        <Button
          key={stop.key}
          start
          selected={stop.key === currentKey}
          before={<Bead state={stateOf(stop)} size={28} />}
          title={`${index + 1} · ${stop.zone.title}`}
          note={`${stop.zone.unit.number} · ${t('walk.progress', {
            done: stop.instances.length - openOf(stop),
            total: stop.instances.length,
          })}`}
          onPress={() => onChoose(index)}
        />
      ))}
    </View>
  );
}
