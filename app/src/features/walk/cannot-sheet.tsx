import { useState } from 'react';
import { Body, Button, Field, Sheet } from '@/design';
import { useWordList, useWords } from '@/i18n';

interface CannotSheetProps {
  readonly onKeep: (reason: string) => void;
  readonly onClose: () => void;
}

/** Why something could not be looked at: a touch, or a few typed words. */
export function CannotSheet({ onKeep, onClose }: CannotSheetProps) {
  const t = useWords();
  const reasons = useWordList('cannot.reasons');
  const [other, setOther] = useState('');
  return (
    <Sheet title={t('cannot.title')} closeTitle={t('close')} onClose={onClose}>
      <Body>{t('cannot.why')}</Body>
      {reasons.map((reason) => (
        <Button key={reason} title={reason} onPress={() => onKeep(reason)} />
      ))}
      <Field label={t('cannot.other')} value={other} onChange={setOther} maxLength={300} />
      <Button
        look="main"
        title={t('cannot.keep')}
        disabled={other.trim().length < 3}
        onPress={() => onKeep(other.trim())}
      />
    </Sheet>
  );
}
