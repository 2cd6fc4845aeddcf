import type { UnitService } from '@nazar/core/wire';
import { useState } from 'react';
import { View } from 'react-native';
import { Bead, Body, Button, Card, Field, Heading, Soft, type BeadState } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { ApiProblem, recordService, useHabit } from '@/state';
import { formatSi, unitFor } from '@nazar/core/quantity';

interface ServicesProps {
  readonly unitId: string;
  readonly services: readonly UnitService[];
  readonly mayRecord: boolean;
  readonly onRecorded: () => void;
  readonly onCalendar: () => void;
}

const BEAD: Readonly<Record<UnitService['due']['state'], BeadState>> = {
  due: 'major',
  soon: 'minor',
  later: 'sound',
  'never-recorded': 'unanswered',
  unknown: 'unanswered',
};
const ORDER: readonly UnitService['due']['state'][] = [
  'due',
  'soon',
  'never-recorded',
  'unknown',
  'later',
];

/** What is due by time, distance, hours or season, soonest first. */
export function Services(props: ServicesProps) {
  const t = useWords();
  const [open, setOpen] = useState<string>();
  const sorted = [...props.services].sort(
    (a, b) =>
      ORDER.indexOf(a.due.state) - ORDER.indexOf(b.due.state) ||
      (a.due.at ?? Infinity) - (b.due.at ?? Infinity),
  );
  return (
    <Card>
      <Heading level={2}>{t('service.title')}</Heading>
      {sorted.length === 0 ? <Body>{t('service.none')}</Body> : null}
      {sorted.map((each) => (
        <View key={each.service.id} className="gap-2 border-b border-line pb-2">
          <View className="flex-row gap-3">
            <Bead state={BEAD[each.due.state]} size={26} />
            <View className="min-w-0 flex-1">
              <Body className="font-thick">{each.service.title}</Body>
              <DueLine service={each} />
              {each.last ? (
                <Soft>
                  {t('service.last', { when: formatWhen(each.last.at), words: each.last.words })}
                </Soft>
              ) : null}
            </View>
            {props.mayRecord && open !== each.service.id ? (
              <Button
                look="quiet"
                title={t('service.done')}
                label={`${t('service.done')}: ${each.service.title}`}
                onPress={() => setOpen(each.service.id)}
              />
            ) : null}
          </View>
          {open === each.service.id ? (
            <DoneForm
              unitId={props.unitId}
              serviceId={each.service.id}
              onDone={() => {
                setOpen(undefined);
                props.onRecorded();
              }}
            />
          ) : null}
        </View>
      ))}
      <Button look="quiet" title={t('service.calendar')} onPress={props.onCalendar} />
      <Soft>{t('guide')}</Soft>
    </Card>
  );
}

function DueLine({ service: { due } }: { readonly service: UnitService }) {
  const t = useWords();
  const habit = useHabit();
  const left =
    due.left !== undefined && due.left > 0
      ? due.unit === 'km'
        ? formatSi(due.left * 1000, unitFor('distance', habit))
        : `${Math.round(due.left)} h`
      : undefined;
  return (
    <Body>
      {[
        t(`service.state.${due.state}`, { when: due.at ? formatWhen(due.at) : '' }),
        left && t('service.left', { left }),
        due.from === 'use' && due.at !== undefined && due.state !== 'due' && t('service.estimate'),
      ]
        .filter(Boolean)
        .join(' · ')}
    </Body>
  );
}

function DoneForm({
  unitId,
  serviceId,
  onDone,
}: {
  readonly unitId: string;
  readonly serviceId: string;
  readonly onDone: () => void;
}) {
  const t = useWords();
  const [words, setWords] = useState('');
  const [trouble, setTrouble] = useState<string>();
  const keep = async () => {
    try {
      await recordService(unitId, serviceId, words.trim());
      onDone();
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setTrouble(error.detail || t('trouble.offline'));
    }
  };
  return (
    <View className="gap-2">
      <Field
        label={t('service.words')}
        value={words}
        onChange={setWords}
        trouble={trouble}
        maxLength={500}
      />
      <Button
        look="main"
        title={t('service.keep')}
        disabled={words.trim().length < 2}
        onPress={() => void keep()}
      />
    </View>
  );
}
