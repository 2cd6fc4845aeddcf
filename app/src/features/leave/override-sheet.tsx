import type { Finding } from '@nazar/core/grading';
import type { Signature, Stroke } from '@nazar/core/inspection';
import { useCallback, useState } from 'react';
import { Body, Button, Field, Sheet, Soft } from '@/design';
import { useWords } from '@/i18n';
import { SignaturePad } from '@/signature';

interface OverrideSheetProps {
  /** Undefined for the release of a rig whose equipment is out of service. */
  readonly finding: Finding | undefined;
  readonly personName: string;
  readonly onSign: (words: string, signature: Signature) => Promise<void>;
  readonly onClose: () => void;
}

/** A supervisor's word against a condition: in writing, signed, and for ever in the record. */
export function OverrideSheet({ finding, personName, onSign, onClose }: OverrideSheetProps) {
  const t = useWords();
  const [words, setWords] = useState('');
  const [strokes, setStrokes] = useState<readonly Stroke[]>([]);
  const [trouble, setTrouble] = useState<string>();
  const changeStrokes = useCallback((drawn: readonly Stroke[]) => setStrokes(drawn), []);
  const sign = () => {
    if (words.trim().length < 3) setTrouble(t('leave.needWords'));
    else if (strokes.length === 0) setTrouble(t('sign.needSignature'));
    else void onSign(words.trim(), { name: personName, strokes });
  };
  return (
    <Sheet
      title={t(finding ? 'leave.lift' : 'leave.release')}
      closeTitle={t('close')}
      onClose={onClose}
      foot={
        <Button look="main" className="min-h-[64px]" title={t('leave.liftSign')} onPress={sign} />
      }
    >
      {finding ? (
        <>
          <Body className="font-thick">{finding.title}</Body>
          <Body>{finding.condition}</Body>
        </>
      ) : null}
      <Soft>{t('leave.liftWhy')}</Soft>
      <Field
        label={t('leave.liftWords')}
        value={words}
        onChange={setWords}
        maxLength={1000}
        multiline
      />
      <Body className="font-thick">
        {t('workshop.sign')}: {personName}
      </Body>
      <SignaturePad label={t('sign.signLabel')} round={0} onChange={changeStrokes} />
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
    </Sheet>
  );
}
