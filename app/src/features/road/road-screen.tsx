import { partOf, partAt, faultLine } from '@nazar/core/catalogue';
import { assess, wordsOf } from '@nazar/core/inspection';
import type { CheckInstance } from '@nazar/core/rig';
import { useMemo, useState } from 'react';
import { Bead, Body, Button, Card, Field, Heading, Screen, Soft } from '@/design';
import { Opening, HeadlineBanner } from '@/drawing';
import { useWords } from '@/i18n';
import { useSpeed } from '@/state';
import { useRemoteLog, useWalk, type Walk } from '@/state/walk';

export interface RoadScreenProps {
  readonly inspectionId: string;
  readonly onFault: (key: string) => void;
  readonly onBack: () => void;
}

const SHOWN = 12;

/** A fault that shows on the road: named by its check, graded at once, and what it means for going on. */
export function RoadScreen({ inspectionId, onFault, onBack }: RoadScreenProps) {
  const t = useWords();
  const walk = useWalk(inspectionId);
  // The walk may have been made on another phone, or long enough ago to be let go here.
  const { trouble } = useRemoteLog(inspectionId);
  const back = <Button look="quiet" title={t('back')} onPress={onBack} />;
  if (!walk)
    return (
      <Screen title={t('road.title')} actions={back}>
        {walk === null && trouble ? <Body>{t('walk.gone')}</Body> : <Opening />}
      </Screen>
    );
  return (
    <Screen title={t('road.title')} actions={back}>
      <Found walk={walk} />
      <Choice walk={walk} onFault={onFault} />
      <Soft>{t('guide')}</Soft>
    </Screen>
  );
}

/** What was found so far, and whether the rig may go on with it. */
function Found({ walk }: { readonly walk: Walk }) {
  const t = useWords();
  const speed = useSpeed();
  const { inspection, assessment, rig, request } = walk;
  const before = useMemo(
    () => assess({ ...request, inspection: { ...inspection, found: [] } }),
    [request, inspection],
  );
  if (inspection.found.length === 0) return null;
  const { verdict } = assessment;
  const road = verdict.capabilities.find(({ capability }) => capability === 'road');
  const stops =
    road?.state === 'blocked' ||
    (rig.towing &&
      verdict.capabilities.some((each) => each.state === 'blocked' && each.capability === 'tow'));
  const lost = verdict.capabilities.filter(
    ({ capability, state }) =>
      state === 'blocked' &&
      before.verdict.capabilities.find((each) => each.capability === capability)?.state !==
        'blocked',
  );
  return (
    <Card marked>
      <Heading level={2}>{t('road.kept', { count: inspection.found.length })}</Heading>
      <HeadlineBanner headline={verdict.headline} />
      <Body role="alert" className="font-thick">
        {stops
          ? t('road.stop')
          : t('road.goOn', {
              conditions:
                [
                  ...verdict.conditions,
                  ...(verdict.mostKmh === undefined
                    ? []
                    : [t('most', { speed: speed(verdict.mostKmh) })]),
                ].join(' ') || t('grade.note'),
            })}
      </Body>
      {lost.map(({ capability }) => (
        <Body key={capability}>
          {t(`capability.${capability}`)}: {t('capabilityState.blocked')}
        </Body>
      ))}
      {inspection.found.map((found) => {
        const at = assessment.byKey.get(found.key)?.instance;
        return at ? (
          <Body key={found.eventId}>
            {faultLine(partOf(at.check), at.place?.title, wordsOf(at.check, found))}
          </Body>
        ) : null;
      })}
    </Card>
  );
}

/** Every check of the rig by its words; the ones of the seat first, because that is where one sits. */
function Choice({
  walk,
  onFault,
}: {
  readonly walk: Walk;
  readonly onFault: (key: string) => void;
}) {
  const t = useWords();
  const [typed, setTyped] = useState('');
  const words = typed.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const found = useMemo(() => byNearness(walk), [walk]).filter((instance) => {
    const text = textOf(instance);
    return words.every((word) => text.includes(word));
  });
  return (
    <>
      <Heading level={2}>{t('road.choose')}</Heading>
      <Soft>{t('road.foundWhy')}</Soft>
      <Field label={t('road.search')} value={typed} onChange={setTyped} maxLength={60} />
      {found.length === 0 ? <Body>{t('road.none')}</Body> : null}
      {found.slice(0, SHOWN).map((instance) => (
        <Button
          key={instance.key}
          start
          before={
            <Bead
              state={walk.assessment.byKey.get(instance.key)?.state ?? 'unanswered'}
              size={26}
            />
          }
          title={partAt(instance.check, instance.place)}
          note={instance.unit.number}
          onPress={() => onFault(instance.key)}
        />
      ))}
      {found.length > SHOWN ? <Soft>{t('sign.more', { count: found.length - SHOWN })}</Soft> : null}
    </>
  );
}

function byNearness({ rig }: Walk): CheckInstance[] {
  const near = new Set(
    rig.zones.filter(({ round }) => round === 'cab' || round === 'brakes').map(({ key }) => key),
  );
  return [...rig.instances].sort(
    (one, other) => Number(near.has(other.zoneKey)) - Number(near.has(one.zoneKey)),
  );
}

function textOf({ check, place, unit }: CheckInstance): string {
  return [
    partOf(check),
    check.title,
    place?.title,
    unit.number,
    ...check.symptoms.map(({ words }) => words),
  ]
    .join(' ')
    .toLowerCase();
}
