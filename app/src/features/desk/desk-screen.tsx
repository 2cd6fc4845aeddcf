import type { DeskWalk, Outing } from '@nazar/core/wire';
import { View } from 'react-native';
import { Bead, Body, Button, Card, Columns, Heading, Screen, Soft, type BeadState } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { useDesk, useReference, useSession } from '@/state';
import { JobPlanner } from './job-planner';
import { SetAsideCard } from './set-aside-card';

export interface DeskScreenProps {
  readonly onWalk: (inspectionId: string) => void;
  readonly onUnit: (unitId: string) => void;
  readonly onRules: () => void;
  readonly onWorkshop: () => void;
  readonly onToday: () => void;
}

const BEAD: Readonly<Record<DeskWalk['headline'], BeadState>> = {
  rolls: 'sound',
  limits: 'minor',
  stays: 'major',
};

/** What a supervisor looks at: what is ready, what is out, what is wanted, unit by unit. */
export function DeskScreen(props: DeskScreenProps) {
  const t = useWords();
  const person = useSession((state) => state.person);
  const reference = useReference((state) => state.reference);
  const { value: desk, trouble, reload } = useDesk();
  if (!person) return null;
  const ready = desk?.walks.filter((walk) => walk.phase === 'pre-trip' && !walk.outAt) ?? [];
  return (
    <Screen
      title={t('desk.title')}
      below={reference?.depot.name}
      width="columns"
      actions={
        <>
          <Button look="quiet" title={t('today.toWorkshop')} onPress={props.onWorkshop} />
          <Button look="quiet" title={t('rules.title')} onPress={props.onRules} />
          <Button look="quiet" title={t('today.toToday')} onPress={props.onToday} />
        </>
      }
    >
      {trouble ? (
        <Body role="alert">{trouble === 'offline' ? t('desk.offline') : trouble.sentence}</Body>
      ) : null}
      {!desk && !trouble ? <Body>{t('loading')}</Body> : null}
      {desk ? (
        <Columns
          left={
            <>
              <SetAsideCard
                entries={desk.setAside}
                mayForget={person.role === 'supervisor'}
                onChanged={reload}
              />
              <Card>
                <Heading level={2}>{t('desk.ready')}</Heading>
                {ready.length === 0 ? <Body>{t('desk.noneReady')}</Body> : null}
                {ready.map((walk) => (
                  <Button
                    key={walk.inspectionId}
                    start
                    before={<Bead state={BEAD[walk.headline]} size={32} />}
                    title={`${walk.numbers.join(' + ')} · ${t(`headline.${walk.headline}`)}`}
                    note={`${formatWhen(walk.signedAt)} · ${walk.driver}`}
                    onPress={() => props.onWalk(walk.inspectionId)}
                  />
                ))}
              </Card>
              <Card>
                <Heading level={2}>{t('desk.out')}</Heading>
                {desk.outings.length === 0 ? <Body>{t('desk.noneOut')}</Body> : null}
                {desk.outings.map((outing) => (
                  <Button
                    key={outing.inspectionId}
                    start
                    title={`${numbersOf(outing, reference?.units ?? [])} · ${outing.title ?? t(`purpose.${outing.purpose}`)}`}
                    note={`${formatWhen(outing.outAt)} · ${outing.by}`}
                    onPress={() => props.onWalk(outing.inspectionId)}
                  />
                ))}
              </Card>
            </>
          }
          right={
            <>
              <JobPlanner
                jobs={desk.jobs}
                mayPlan={person.role === 'supervisor'}
                onChanged={reload}
              />
              {desk.pace.stops > 0 ? (
                <Card>
                  <Heading level={2}>{t('desk.pace')}</Heading>
                  <Body className="font-thick">
                    {t('desk.paceShare', {
                      hasty: desk.pace.hasty,
                      stops: desk.pace.stops,
                      share: Math.round((1000 * desk.pace.hasty) / desk.pace.stops) / 10,
                    })}
                  </Body>
                  {desk.pace.places.length > 0 ? (
                    <Body>
                      {t('desk.pacePlaces', {
                        places: desk.pace.places
                          .map(({ title, count }) => `${title} (${count})`)
                          .join(', '),
                      })}
                    </Body>
                  ) : null}
                  <Soft>{t('desk.paceWhy')}</Soft>
                </Card>
              ) : null}
              <Card>
                <Heading level={2}>{t('desk.units')}</Heading>
                <View className="flex-row flex-wrap gap-2">
                  {(reference?.units ?? []).map((unit) => (
                    <Button
                      key={unit.id}
                      title={unit.number}
                      label={`${t('logbook.open')} ${unit.number} ${unit.title}`}
                      onPress={() => props.onUnit(unit.id)}
                    />
                  ))}
                </View>
                <Soft>{t('desk.unitsWhy')}</Soft>
              </Card>
            </>
          }
        />
      ) : null}
    </Screen>
  );
}

function numbersOf(
  { unitIds }: Outing,
  units: readonly { readonly id: string; readonly number: string }[],
): string {
  return unitIds.flatMap((id) => units.find((unit) => unit.id === id)?.number ?? []).join(' + ');
}
