import { mayHelperAnswer } from '@nazar/core/planning';
import { darkSymptomOf } from '@nazar/core/walking';
import type { CheckInstance } from '@nazar/core/rig';
import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { v7 as newId } from 'uuid';
import { Bead, Body, Button, Card, Heading, Screen, SignalWords, Soft } from '@/design';
import { Opening, RigDrawing } from '@/drawing';
import { useWords } from '@/i18n';
import { useSession } from '@/state';
import { useHearing, useWalk, type Walk, useWalkSession } from '@/state/walk';
import { keepAwake, ring } from '@/workers';

export interface HelpScreenProps {
  readonly inspectionId: string;
  readonly onFault: (key: string) => void;
  readonly onLeave: () => void;
}

/** The second phone on a walk: what is asked of the helper now, and what a helper may look at; nothing of the driver's own. */
export function HelpScreen({ inspectionId, onFault, onLeave }: HelpScreenProps) {
  const { log, uplink } = useWalkSession();
  const t = useWords();
  const walk = useWalk(inspectionId);
  const person = useSession((state) => state.person);
  const hearing = useHearing(inspectionId, true);
  useEffect(() => keepAwake(() => undefined), []);
  const helper = walk?.inspection.course.helper;
  const over =
    hearing === 'gone' ||
    (walk !== undefined &&
      walk !== null &&
      (walk.inspection.signed !== undefined || helper?.actorId !== person?.id));
  if (!walk || !person || over)
    return (
      <Screen
        title={t('helping.joinTitle')}
        actions={<Button look="quiet" title={t('back')} onPress={onLeave} />}
      >
        {over ? <Body live>{t('helping.over')}</Body> : <Opening />}
      </Screen>
    );
  const leave = async () => {
    const kept = await log.append([
      { inspectionId, actorId: person.id, type: 'parted', payload: {} },
    ]);
    if (!kept) return;
    await uplink.send();
    onLeave();
  };
  return (
    <Screen
      title={t('helping.joinTitle')}
      below={t('helping.of', {
        rig: walk.rig.units.map(({ unit }) => `${unit.number} ${unit.title}`).join(' + '),
      })}
      actions={<Button look="quiet" title={t('helping.leave')} onPress={() => void leave()} />}
    >
      {hearing === 'stale' ? <Body role="status">{t('helping.stale')}</Body> : null}
      <Asked walk={walk} personId={person.id} onFault={onFault} />
      <Soft>{t('helping.driversOwn')}</Soft>
    </Screen>
  );
}

interface AskedProps {
  readonly walk: Walk;
  readonly personId: string;
  readonly onFault: (key: string) => void;
}

function Asked({ walk, personId, onFault }: AskedProps) {
  const t = useWords();
  const { inspection, stops, rig } = walk;
  const { asked } = inspection.course;
  const mine = useMemo(
    () =>
      stops
        .flatMap(({ instances }) => instances)
        .filter(mayHelperAnswer)
        // What is measured or counted is the driver's to write down.
        .filter(({ check, contents }) => !check.reading?.required && !contents),
    [stops],
  );
  const open = mine.filter(({ key }) => !inspection.answers.has(key));
  const now = open.filter(({ key }) => asked?.keys.includes(key));
  const name = now.map(({ key }) => key).join(' ');
  const told = useRef(name);
  useEffect(() => {
    if (name === told.current) return;
    told.current = name;
    if (name !== '') ring(t('helping.nowAsked'));
  }, [name, t]);
  const [chosen, setChosen] = useState<string>();
  const current = now[0] ?? open.find(({ key }) => key === chosen);
  const spot = current && { x: current.x, y: current.y };
  return (
    <>
      <Card marked={now.length > 0}>
        <Heading level={2}>
          {t(
            now.length > 0
              ? 'helping.nowAsked'
              : open.length > 0
                ? 'helping.nothingAsked'
                : 'helping.allDone',
          )}
        </Heading>
        {current ? (
          <>
            <RigDrawing rig={rig} label={current.check.title} spot={spot} />
            <AnswerCard
              key={current.key}
              instance={current}
              walk={walk}
              personId={personId}
              onFault={onFault}
            />
          </>
        ) : null}
      </Card>
      {now.length === 0
        ? open
            .filter(({ key }) => key !== current?.key)
            .map((instance) => (
              <Button
                key={instance.key}
                start
                before={<Bead state="unanswered" size={26} />}
                title={`${instance.check.title}${instance.place ? ` · ${instance.place.title}` : ''}`}
                note={instance.unit.number}
                onPress={() => setChosen(instance.key)}
              />
            ))
        : null}
    </>
  );
}

/** One check in large letters, with its answers under the thumb. */
function AnswerCard({
  instance,
  walk,
  personId,
  onFault,
}: {
  readonly instance: CheckInstance;
  readonly walk: Walk;
  readonly personId: string;
  readonly onFault: (key: string) => void;
}) {
  const t = useWords();
  const { check, place, key } = instance;
  const { log, uplink } = useWalkSession();
  const lamp = check.needs.includes('lamps-on');
  const dark = lamp ? darkSymptomOf(instance) : undefined;
  const known = walk.known.find((each) => each.key === key);
  const own = { inspectionId: walk.inspection.id, actorId: personId };
  const send = (kept: boolean) => (kept ? void uplink.send() : undefined);
  return (
    <View className="gap-2">
      <Heading level={3} className="text-3xl">
        {check.title}
        {place ? ` · ${place.title}` : ''}
      </Heading>
      <Body>{check.criterion}</Body>
      {check.cautions.map((caution) => (
        <SignalWords key={caution.words} caution={caution} />
      ))}
      <View className="flex-row gap-2">
        <Button
          className="flex-1"
          title={t(dark ? 'helping.dark' : 'helping.fault')}
          onPress={() => {
            if (!dark) onFault(key);
            else
              void log
                .append([
                  {
                    ...own,
                    type: 'faulted',
                    payload: {
                      key,
                      symptomId: dark,
                      defectId: known?.id ?? newId(),
                      ...(place && { spot: { x: place.x, y: place.y } }),
                      photos: [],
                    },
                  },
                ])
                .then(send);
          }}
        />
        <Button
          look="main"
          className="flex-1"
          testID="helper-good"
          title={t(lamp ? 'helping.lit' : 'helping.good')}
          onPress={() =>
            void log
              .append([{ ...own, type: 'answered', payload: { key, outcome: 'sound' } }])
              .then(send)
          }
        />
      </View>
    </View>
  );
}
