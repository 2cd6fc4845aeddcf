import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Card, Heading, Screen } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import {
  keepRigChoice,
  listUnfinished,
  readRigChoice,
  useReference,
  useSession,
  type Reference,
} from '@/state';
import { RigPanel } from './rig-panel';

export interface TodayScreenProps {
  readonly onBegin: (rigId: string, phase: 'pre-trip' | 'post-trip') => void;
  readonly onGoOn: (inspectionId: string) => void;
  readonly onReport: (reportId: string) => void;
  readonly onYou: () => void;
  readonly onWorkshop: () => void;
}

type UsualRig = Reference['rigs'][number];

/** My rig, its last report, what is open on it, repairs to acknowledge, and the start of a walk. */
export function TodayScreen(props: TodayScreenProps) {
  const t = useWords();
  const person = useSession((state) => state.person);
  const reference = useReference((state) => state.reference);
  const [choice, setChoice] = useState<string | null>();
  const [unfinished, setUnfinished] = useState<readonly string[]>([]);
  const personId = person?.id ?? '';
  useEffect(() => {
    void readRigChoice(personId).then((kept) => setChoice(kept ?? null));
    void listUnfinished(personId).then(setUnfinished);
  }, [personId]);
  if (!person) return null;
  const rig = reference?.rigs.find(({ id }) => id === choice);
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
        />
      ) : choice === undefined ? null : (
        <RigChoice rigs={reference.rigs} reference={reference} onChoose={choose} />
      )}
    </Screen>
  );
}

function RigChoice({
  rigs,
  reference,
  onChoose,
}: {
  readonly rigs: readonly UsualRig[];
  readonly reference: Reference;
  readonly onChoose: (id: string) => void;
}) {
  const t = useWords();
  return (
    <Card>
      <Heading level={2}>{t('today.choose')}</Heading>
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
