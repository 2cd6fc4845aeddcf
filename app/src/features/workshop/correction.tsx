import { useState } from 'react';
import { Body, Button, Card, Field } from '@/design';
import { useWords } from '@/i18n';
import type { DefectRecord } from '@/state';
import { useSend } from './use-send';

interface CorrectionProps {
  readonly defect: DefectRecord;
  readonly personId: string;
  readonly onChanged: () => void;
}

/** What was said wrongly stays; what is right is added to it. */
export function Correction({ defect, personId, onChanged }: CorrectionProps) {
  const t = useWords();
  const { send, trouble } = useSend(defect.inspectionId, personId);
  const [open, setOpen] = useState(false);
  const [words, setWords] = useState('');
  if (!open)
    return <Button look="quiet" title={t('workshop.correct')} onPress={() => setOpen(true)} />;
  const keep = async () => {
    if ((await send('annotated', { defectId: defect.id, words: words.trim() })) === 'refused')
      return;
    setOpen(false);
    setWords('');
    onChanged();
  };
  return (
    <Card>
      <Field
        label={t('workshop.correction')}
        hint={t('workshop.correctionHint')}
        value={words}
        onChange={setWords}
        maxLength={2000}
        multiline
      />
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
      <Button
        title={t('workshop.addCorrection')}
        disabled={words.trim().length < 2}
        onPress={() => void keep()}
      />
    </Card>
  );
}
