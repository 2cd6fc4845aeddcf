import type { Addition, Report } from '@nazar/core/report';
import { View } from 'react-native';
import { Body, Soft } from '@/design';
import { KeptPhoto } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';

/** One thing that was added to a report after its seal. */
export function AdditionLines({
  addition,
  report,
}: {
  readonly addition: Addition;
  readonly report: Report;
}) {
  const t = useWords();
  const defect = report.defects.find(({ id }) => id === addition.defect);
  const title =
    addition.kind === 'certified'
      ? t(`outcome.${addition.outcome ?? 'repaired'}`)
      : addition.kind === 'signed-out'
        ? `${t('addition.signed-out')} ${t(`purpose.${addition.outcome ?? 'job'}`)}`
        : t(`addition.${addition.kind}`);
  const words = [
    defect?.title,
    addition.words,
    addition.parts?.map(({ count, words: part }) => `${count} × ${part}`).join(', '),
    addition.minutes && t('life.minutes', { count: addition.minutes }),
    ...(addition.conditions ?? []),
    addition.until,
  ].filter(Boolean);
  return (
    <View>
      <Body className="font-thick">{title}</Body>
      {words.length > 0 ? <Body>{words.join(' · ')}</Body> : null}
      <View className="flex-row flex-wrap gap-2">
        {(addition.photos ?? []).map(({ id, when }) => (
          <KeptPhoto key={id} id={id} size={120} label={t(`life.photo.${when}`)} />
        ))}
      </View>
      <Soft>
        {addition.by.name}, {formatWhen(addition.at)}
      </Soft>
    </View>
  );
}
