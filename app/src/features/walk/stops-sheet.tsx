import type { Stop } from '@nazar/core/planning';
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
export function StopsSheet({
  stops,
  currentKey,
  stateOf,
  openOf,
  onChoose,
  onClose,
}: StopsSheetProps) {
  const t = useWords();
  return (
    <Sheet title={t('walk.stops')} closeTitle={t('close')} onClose={onClose}>
      {stops.map((stop, index) => (
        <Button
          key={stop.key}
          className="justify-start"
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
    </Sheet>
  );
}
