import type { Reference } from '@nazar/core/wire';
import type { Phase } from '@nazar/core/catalogue';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Card, Heading, Screen } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import {
  ApiProblem,
  keepRigChoice,
  listUnfinished,
  OFFLINE,
  readRigChoice,
  takeRigApart,
  useReference,
  useSession,
} from '@/state';
import { LoadRecheck } from './load-recheck';
import { OtherWalks } from './other-walks';
import { RigPanel } from './rig-panel';

export interface TodayScreenProps {
  readonly onBegin: (rigId: string, phase: Phase) => void;
  readonly onBuild: () => void;
  readonly onGoOn: (inspectionId: string) => void;
  readonly onReport: (reportId: string) => void;
  readonly onYou: () => void;
  readonly onWorkshop: () => void;
  readonly onDesk: () => void;
  readonly onLogbook: (unitId: string) => void;
  readonly onLeave: (inspectionId: string) => void;
  readonly onRoad: (inspectionId: string) => void;
  readonly onHelp: () => void;
}

type UsualRig = Reference['rigs'][number];

/** My rig, its last report, what is open on it, repairs to acknowledge, and the start of a walk. */
export function TodayScreen(props: TodayScreenProps) {
  const t = useWords();
  const person = useSession((state) => state.person);
  const reference = useReference((state) => state.reference);
  const [choice, setChoice] = useState<string | null>();
  const [trouble, setTrouble] = useState<string>();
  const [unfinished, setUnfinished] = useState<readonly string[]>([]);
  const personId = person?.id ?? '';
  useEffect(() => {
    void readRigChoice(personId).then((kept) => setChoice(kept ?? null));
    void listUnfinished(personId).then(setUnfinished);
  }, [personId]);
  if (!person) return null;
  const rig = reference?.rigs.find(({ id }) => id === choice);
  const apart = async (id: string) => {
    try {
      await takeRigApart(id);
      await useReference.getState().refresh(personId);
      choose(null);
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setTrouble(error.code === OFFLINE ? t('rig.keepOffline') : error.detail);
    }
  };
  const choose = (id: string | null) => {
    setChoice(id);
    void keepRigChoice(personId, id);
  };
  return (
    <Screen
      title={t('today.title')}
      below={t('today.hello', { name: person.name, depot: reference?.depot.name ?? '' })}
      width="columns"
      actions={
        <>
          {person.role === 'driver' ? null : (
            <Button look="quiet" title={t('today.toWorkshop')} onPress={props.onWorkshop} />
          )}
          {person.role === 'supervisor' ? (
            <Button look="quiet" title={t('today.toDesk')} onPress={props.onDesk} />
          ) : null}
          <Button look="quiet" title={t('you.title')} onPress={props.onYou} />
        </>
      }
      foot={
        rig ? (
          <View className="flex-row gap-2">
            <Button
              className="min-h-[64px] flex-1"
              title={t('today.startWhich.post-trip')}
              onPress={() => props.onBegin(rig.id, 'post-trip')}
            />
            <Button
              look="main"
              className="min-h-[64px] flex-1"
              title={t('today.startWhich.pre-trip')}
              onPress={() => props.onBegin(rig.id, 'pre-trip')}
            />
          </View>
        ) : undefined
      }
    >
      {unfinished.map((id) => (
        <Button key={id} look="main" title={t('today.goOn')} onPress={() => props.onGoOn(id)} />
      ))}
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
      {!reference ? (
        <Body>{t('today.noReference')}</Body>
      ) : reference.rigs.length === 0 ? (
        <Body>{t('today.empty')}</Body>
      ) : rig ? (
        <RigPanel
          rig={rig}
          reference={reference}
          onChange={() => choose(null)}
          onReport={props.onReport}
          onLogbook={props.onLogbook}
          onLeave={props.onLeave}
          onApart={() => void apart(rig.id)}
          underWay={
            <LoadRecheck
              rig={rig}
              reference={reference}
              onBegin={() => props.onBegin(rig.id, 'under-way')}
              onRoad={props.onRoad}
            />
          }
          otherWalks={
            <>
              <OtherWalks
                rig={rig}
                reference={reference}
                onBegin={(phase) => props.onBegin(rig.id, phase)}
              />
              <Button title={t('today.help')} onPress={props.onHelp} />
            </>
          }
        />
      ) : choice === undefined ? null : (
        <RigChoice
          rigs={reference.rigs}
          reference={reference}
          onChoose={choose}
          onBuild={props.onBuild}
          onHelp={props.onHelp}
        />
      )}
    </Screen>
  );
}

function RigChoice({
  rigs,
  reference,
  onChoose,
  onBuild,
  onHelp,
}: {
  readonly rigs: readonly UsualRig[];
  readonly reference: Reference;
  readonly onChoose: (id: string) => void;
  readonly onBuild: () => void;
  readonly onHelp: () => void;
}) {
  const t = useWords();
  return (
    <Card>
      <Heading level={2}>{t('today.choose')}</Heading>
      <Button look="main" title={t('rig.title')} onPress={onBuild} />
      <Button title={t('today.help')} onPress={onHelp} />
      {rigs.map((rig) => {
        const last = reference.lastReports.find(({ unitId }) => unitId === rig.unitIds[0]);
        return (
          <Button
            key={rig.id}
            start
            title={rig.title}
            note={
              last
                ? t('today.reportLine', {
                    phase: t(`headline.${last.headline}`),
                    when: formatWhen(last.signedAt),
                    driver: last.driver,
                  })
                : t('today.noReport')
            }
            onPress={() => onChoose(rig.id)}
          />
        );
      })}
    </Card>
  );
}
