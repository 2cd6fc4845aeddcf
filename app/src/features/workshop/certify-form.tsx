import { policyById } from '@nazar/core/grading';
import type { CertifiedOutcome, Stroke } from '@nazar/core/inspection';
import { certify } from '@nazar/core/repair';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Card, Field, Heading, SignaturePad } from '@/design';
import { useWords } from '@/i18n';
import { appendEntries, lastRefusal, syncNow, useReference, type DefectRecord } from '@/state';

interface CertifyFormProps {
  readonly defect: DefectRecord;
  readonly personId: string;
  readonly personName: string;
  readonly onDone: (sentence: string) => void;
}

const OUTCOMES: readonly CertifiedOutcome[] = ['repaired', 'no-repair-needed', 'deferred'];

/** Repaired, no repair needed, or put off with a reason; signed by the mechanic. */
export function CertifyForm({ defect, personId, personName, onDone }: CertifyFormProps) {
  const t = useWords();
  const policyId = useReference((state) => state.reference?.depot.policyId) ?? 'two-step';
  const [outcome, setOutcome] = useState<CertifiedOutcome>('repaired');
  const [words, setWords] = useState('');
  const [until, setUntil] = useState('');
  const [strokes, setStrokes] = useState<readonly Stroke[]>([]);
  const [round, setRound] = useState(0);
  const [trouble, setTrouble] = useState<string>();
  const changeStrokes = useCallback((drawn: readonly Stroke[]) => setStrokes(drawn), []);

  const findTrouble = (): string | undefined => {
    if (words.trim().length < 3) return t('workshop.needWords');
    if (strokes.length === 0) return t('workshop.needSignature');
    const result = certify({
      status: defect.status,
      grade: defect.grade,
      outcome,
      until: outcome === 'deferred' ? until.trim() : undefined,
      today: new Date().toISOString().slice(0, 10),
      policy: policyById(policyId),
    });
    if (typeof result === 'string')
      return outcome === 'deferred' && !/^\d{4}-\d{2}-\d{2}$/.test(until.trim())
        ? t('workshop.needUntil')
        : undefined;
    return t(
      result.refused === 'grade-not-deferrable' ? 'workshop.notDeferrable' : 'workshop.needUntil',
    );
  };

  const sign = async () => {
    const found = findTrouble();
    setTrouble(found);
    if (found) return;
    const kept = await appendEntries([
      {
        inspectionId: defect.inspectionId,
        actorId: personId,
        type: 'certified',
        payload: {
          defectId: defect.id,
          outcome,
          words: words.trim(),
          ...(outcome === 'deferred' && { until: until.trim() }),
          signature: { name: personName, strokes },
        },
      },
    ]);
    if (!kept) return;
    await syncNow();
    const refusal = await lastRefusal(defect.inspectionId);
    if (refusal !== undefined) {
      setTrouble(refusal);
      return;
    }
    onDone(t(outcome === 'deferred' ? 'workshop.doneDeferred' : 'workshop.done'));
  };

  return (
    <Card className="gap-3">
      <Heading level={2}>{t('workshop.outcome')}</Heading>
      <View className="flex-row flex-wrap gap-2" role="group" aria-label={t('workshop.outcome')}>
        {OUTCOMES.map((each) => (
          <Button
            key={each}
            title={t(`outcome.${each}`)}
            className="grow"
            selected={outcome === each}
            onPress={() => {
              setOutcome(each);
              setTrouble(undefined);
            }}
          />
        ))}
      </View>
      <Field
        label={t(`workshop.words.${outcome}`)}
        hint={t('workshop.wordsHint')}
        value={words}
        onChange={setWords}
        maxLength={1000}
        multiline
      />
      {outcome === 'deferred' ? (
        <Field
          label={t('workshop.until')}
          hint={t('workshop.untilHint')}
          value={until}
          onChange={setUntil}
          maxLength={10}
        />
      ) : null}
      <View className="flex-row items-center justify-between">
        <Body className="shrink font-thick">
          {t('workshop.sign')}: {personName}
        </Body>
        <Button
          look="quiet"
          title={t('sign.clear')}
          onPress={() => setRound((before) => before + 1)}
        />
      </View>
      <SignaturePad label={t('sign.signLabel')} round={round} onChange={changeStrokes} />
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
      <Button
        look="main"
        className="min-h-[64px]"
        title={t(outcome === 'deferred' ? 'workshop.defer' : 'workshop.certify')}
        onPress={() => void sign()}
      />
    </Card>
  );
}
