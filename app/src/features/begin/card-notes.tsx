import { findOutOfDate } from '@nazar/core/card';
import type { UnitHabit } from '@nazar/core/quantity';
import { findMisfits, type Rig } from '@nazar/core/rig';
import { say } from '@nazar/core/words';
import { Body, Card, Heading } from '@/design';
import { formatDay, useWords } from '@/i18n';

interface CardNotesProps {
  readonly rig: Rig;
  readonly habit: UnitHabit;
  /** `YYYY-MM-DD` */
  readonly today: string;
}

/** What the cards of the units say against this rig before it is walked: what does not fit, what cannot be right, what is past its date. */
export function CardNotes({ rig, habit, today }: CardNotesProps) {
  const t = useWords();
  const notes = [
    ...findMisfits(rig).map(({ says }) => say(says, habit)),
    ...rig.units.flatMap(({ unit }) =>
      findOutOfDate(unit.card, today).map(({ title, until }) =>
        t('begin.pastDate', { unit: unit.number, item: title, until: formatDay(until) }),
      ),
    ),
  ];
  if (notes.length === 0) return null;
  return (
    <Card marked>
      <Heading level={2}>{t('begin.cards')}</Heading>
      {notes.map((words) => (
        <Body key={words}>{words}</Body>
      ))}
    </Card>
  );
}
