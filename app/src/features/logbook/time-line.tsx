import { faultLine } from '@nazar/core/catalogue';
import { View } from 'react-native';
import { Bead, Body, Button, Soft, type BeadState } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import type { TimeLineEntry } from './time-line-entries';

interface TimeLineProps {
  readonly entries: readonly TimeLineEntry[];
  readonly onReport: (reportId: string) => void;
}

const BEAD: Readonly<Record<string, BeadState>> = {
  rolls: 'sound',
  limits: 'minor',
  stays: 'major',
};

export function TimeLine({ entries, onReport }: TimeLineProps) {
  return entries.map((entry, index) => (
    <View key={`${entry.kind} ${entry.at} ${index}`} className="border-l-2 border-line py-1 pl-3">
      <Entry entry={entry} onReport={onReport} />
    </View>
  ));
}

function Entry({
  entry,
  onReport,
}: {
  readonly entry: TimeLineEntry;
  readonly onReport: (reportId: string) => void;
}) {
  const t = useWords();
  const when = formatWhen(entry.at);
  switch (entry.kind) {
    case 'walk': {
      const { walk } = entry;
      return (
        <Button
          start
          before={<Bead state={BEAD[walk.headline ?? ''] ?? 'unanswered'} size={28} />}
          title={`${t(`phase.${walk.phase}`)}: ${walk.headline ? t(`headline.${walk.headline}`) : t('logbook.unsigned')}`}
          note={`${when} · ${walk.driver}`}
          disabled={!walk.reportId}
          onPress={() => walk.reportId && onReport(walk.reportId)}
        />
      );
    }
    case 'defect': {
      const { defect } = entry;
      return (
        <View className="flex-row gap-3 py-1">
          <Bead state={defect.grade} size={24} />
          <View className="shrink">
            <Body className="font-thick">
              {faultLine(defect.title, defect.place, defect.symptom)}
            </Body>
            <Soft>
              {[
                t(`grade.${defect.grade}`),
                defect.returnOf && t('cameBack'),
                t(`status.${defect.status}`),
                when,
                defect.reportedBy,
              ]
                .filter(Boolean)
                .join(' · ')}
            </Soft>
          </View>
        </View>
      );
    }
    case 'repair': {
      const { defect } = entry;
      return (
        <View className="py-1">
          <Body>
            {t(`outcome.${defect.outcome ?? 'repaired'}`)}: {defect.symptom}. {defect.outcomeWords}
          </Body>
          <Soft>
            {[when, defect.certifiedBy, defect.held ? '' : t('logbook.notHeld')]
              .filter(Boolean)
              .join(' · ')}
          </Soft>
        </View>
      );
    }
    case 'rig':
      return (
        <View className="py-2">
          <Body className="font-thick">
            {t(`logbook.rig.${entry.change.what}`, { title: entry.change.title })}
          </Body>
          <Soft>
            {formatWhen(entry.change.at)} · {entry.change.by}
          </Soft>
        </View>
      );
    case 'outing': {
      const { outing } = entry;
      return (
        <View className="py-1">
          <Body>
            {t('logbook.out')}
            {outing.title ? `: ${outing.title}` : ` ${t(`purpose.${outing.purpose}`)}`}
          </Body>
          <Soft>
            {when}
            {outing.returnedAt ? ` – ${formatWhen(outing.returnedAt)}` : ''} · {outing.by}
          </Soft>
        </View>
      );
    }
  }
}
