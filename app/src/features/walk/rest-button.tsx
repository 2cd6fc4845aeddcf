import type { Stop } from '@nazar/core/planning';
import type { CheckInstance } from '@nazar/core/rig';
import { arrivalAt, restOfStop } from '@nazar/core/walking';
import { Button, Soft } from '@/design';
import { useWords } from '@/i18n';
import type { Walk } from '@/state/walk';
import { useTick } from './use-tick';

interface RestButtonProps {
  readonly walk: Walk;
  readonly stop: Stop;
  /** Open here and answerable as the vehicle stands. */
  readonly open: readonly CheckInstance[];
  readonly watched: ReadonlySet<string>;
  readonly onRest: (instances: readonly CheckInstance[]) => void;
}

/** "The rest of this stop is sound": shown from the first answer on, open when nobody could have been faster. */
export function RestButton({ walk, stop, open, watched, onRest }: RestButtonProps) {
  const t = useWords();
  const cameAt = arrivalAt(walk.inspection, stop);
  const request = { stop, inspection: walk.inspection, open, watched, cameAt };
  const any = restOfStop({ ...request, now: cameAt }).instances.length > 0;
  const now = useTick(any);
  const { instances, wait } = restOfStop({ ...request, now });
  if (instances.length === 0) return null;
  // While it counts it takes no room from the thumb.
  if (wait > 0)
    return (
      <Soft testID="rest-wait" className="text-center">
        {t('rest.wait', { seconds: wait })}
      </Soft>
    );
  return (
    <Button
      testID="rest"
      title={t('rest.go', { count: instances.length })}
      onPress={() => onRest(instances)}
    />
  );
}
