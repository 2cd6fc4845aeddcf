import type { Stroke } from '@nazar/core/inspection';
import { useCallback, useState } from 'react';
import { Body, Button, Card, Heading } from '@/design';
import { useWords } from '@/i18n';
import { SignaturePad } from '@/signature';
import type { DefectRecord } from '@/state';
import { useSend } from './use-send';

interface SecondSignatureProps {
  readonly defect: DefectRecord;
  readonly personId: string;
  readonly personName: string;
  readonly onDone: (sentence: string) => void;
}

/** The carrier's agent signs beside the mechanic, where the policy wants two people. */
export function SecondSignature(props: SecondSignatureProps) {
  const { defect, personId, personName, onDone } = props;
  const t = useWords();
  const { send, trouble } = useSend(defect.inspectionId, personId);
  const [strokes, setStrokes] = useState<readonly Stroke[]>([]);
  const changeStrokes = useCallback((drawn: readonly Stroke[]) => setStrokes(drawn), []);
  const sign = async () => {
    const signature = { name: personName, strokes };
    const sending = await send('countersigned', { defectId: defect.id, signature });
    if (sending !== 'refused') onDone(t(sending === 'waiting' ? 'workshop.kept' : 'workshop.done'));
  };
  return (
    <Card marked className="gap-3">
      <Heading level={2}>{t('workshop.second')}</Heading>
      <Body>
        {t(`outcome.${defect.outcome ?? 'repaired'}`)}: {defect.outcomeWords} ({defect.certifiedBy})
      </Body>
      <SignaturePad label={t('sign.signLabel')} round={0} onChange={changeStrokes} />
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
      <Button
        look="main"
        className="min-h-[64px]"
        title={t('workshop.secondSign')}
        disabled={strokes.length === 0}
        onPress={() => void sign()}
      />
    </Card>
  );
}
