import { findShort, type Inspection } from '@nazar/core/inspection';
import type { CheckInstance, Rig } from '@nazar/core/rig';
import { v7 as newId } from 'uuid';
import { Body, Heading, Screen } from '@/design';
import { Opening } from '@/drawing';
import { useWords } from '@/i18n';
import { useSession, type Comparison } from '@/state';
import { useWalk } from '@/state/walk';
import { FaultForm } from './fault-form';
import type { FaultDraft } from './draft';

export interface FaultScreenProps {
  readonly inspectionId: string;
  readonly checkKey: string;
  /** What a played cycle has named already. */
  readonly symptomId?: string;
  readonly onDone: () => void;
  readonly onCompare: (what: Comparison) => void;
}

/** Describes a fault in three short questions. */
export function FaultScreen(props: FaultScreenProps) {
  const { inspectionId, checkKey, onDone, onCompare } = props;
  const t = useWords();
  const walk = useWalk(inspectionId);
  const person = useSession((state) => state.person);
  const instance = walk?.rig.instances.find(({ key }) => key === checkKey);
  if (!walk || !person || !instance)
    return <Screen>{walk === undefined ? <Opening /> : <Body>{t('walk.gone')}</Body>}</Screen>;
  const { signed, signedOut, returned } = walk.inspection;
  // Between sign-out and return a fault on the road goes into the same log.
  const onTheRoad = signedOut !== undefined && !returned;
  if (signed && !onTheRoad)
    return (
      <Screen>
        <Heading level={1}>{t('walk.signed')}</Heading>
      </Screen>
    );
  const known = walk.known.find(({ key }) => key === checkKey);
  const fresh = (): FaultDraft => {
    const answer = onTheRoad ? undefined : walk.inspection.answers.get(checkKey);
    const before = answer?.outcome === 'fault' ? answer.fault : undefined;
    const named = instance.check.symptoms.find(({ id }) => id === props.symptomId);
    return {
      // A defect that is open already is confirmed under its own id.
      defectId: before?.defectId ?? known?.id ?? newId(),
      symptomId: before?.symptomId ?? named?.id,
      stepId: before?.stepId,
      spot: before?.spot ?? spotOf(instance, walk.rig),
      note: before?.note ?? wordsOfShort(instance, walk.inspection, t),
      photos: before?.photos ?? [],
      fixed: before?.fixed,
      raisedTo: before?.raisedTo,
      other: before?.other,
      page: before ? 'where' : named ? (named.scale ? 'how-much' : 'where') : 'what',
    };
  };
  return (
    <FaultForm
      walk={walk}
      instance={instance}
      personId={person.id}
      type={onTheRoad ? 'found' : 'faulted'}
      confirms={known !== undefined}
      fresh={fresh}
      onDone={onDone}
      onCompare={onCompare}
    />
  );
}

/** What a count has just found short, for the note. */
function wordsOfShort(
  { key, contents = [] }: CheckInstance,
  { counts }: Inspection,
  t: ReturnType<typeof useWords>,
): string {
  const count = counts.get(key);
  if (!count) return '';
  return findShort(contents, count.items, new Date(count.at).toISOString().slice(0, 10))
    .map(({ item, found, why }) =>
      t(`count.short.${why}`, { title: item.title, found, expected: item.count }),
    )
    .join('. ');
}

/** Where the eyes are: the wheel or lamp itself, else the side of the unit that its zone is at. */
function spotOf(instance: CheckInstance, rig: Rig): { x: number; y: number } {
  const placed = rig.units.find(({ unit }) => unit.id === instance.unit.id);
  const round = (metres: number) => Math.round(metres * 100) / 100;
  return {
    x: round(instance.x - (placed?.offset ?? 0)),
    y: round(instance.y - (placed?.aside ?? 0)),
  };
}
