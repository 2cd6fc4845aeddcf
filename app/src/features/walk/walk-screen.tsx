import { Button, Heading, Screen } from '@/design';
import { Opening } from '@/drawing';
import { useWords } from '@/i18n';
import { useSession } from '@/state';
import { useWalk } from '@/state/walk';
import { WalkBoard } from './walk-board';
import type { WalkScreenProps } from './walk-screen-props';

/** Opens a walk from this device's log. */
export function WalkScreen(props: WalkScreenProps) {
  const t = useWords();
  const walk = useWalk(props.inspectionId);
  const person = useSession((state) => state.person);
  if (walk === undefined || !person)
    return (
      <Screen>
        <Opening />
      </Screen>
    );
  if (walk === null || walk.inspection.signed)
    return (
      <Screen>
        <Heading level={1}>{t(walk ? 'walk.signed' : 'walk.gone')}</Heading>
        {walk ? <Button look="main" title={t('walk.toReport')} onPress={props.onReport} /> : null}
        <Button title={t('report.toToday')} onPress={props.onLeave} />
      </Screen>
    );
  return <WalkBoard {...props} walk={walk} personId={person.id} />;
}
