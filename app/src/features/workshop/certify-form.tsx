import type { CertifiedOutcome, CertifiedPayload, Stroke } from '@nazar/core/inspection';
import { policiesFor } from '@nazar/core/grading';
import { certify, type LifeRefusal } from '@nazar/core/repair';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Card, Field, Heading, Soft } from '@/design';
import { useWords } from '@/i18n';
import { SignaturePad } from '@/signature';
import { useReference, type DefectRecord } from '@/state';
import { UndoBar } from './undo-bar';
import { useSend } from './use-send';

interface CertifyFormProps {
  readonly defect: DefectRecord;
  readonly personId: string;
  readonly personName: string;
  readonly onDone: (sentence: string) => void;
  /** The server knows of something that this form does not; what was typed stays. */
  readonly onRefused: () => void;
}

const OUTCOMES: readonly CertifiedOutcome[] = ['repaired', 'no-repair-needed', 'deferred'];
const DATE = /^\d{4}-\d{2}-\d{2}$/;

const TROUBLE: Readonly<Partial<Record<LifeRefusal, string>>> = {
  'grade-not-deferrable': 'workshop.notDeferrable',
  'until-passed': 'workshop.needUntil',
  'own-report': 'workshop.ownReport',
  'no-repair-not-allowed': 'workshop.noRepairNotAllowed',
};

/** Repaired, no repair needed, or put off with a reason; signed, and a few seconds to take it back. */
export function CertifyForm(props: CertifyFormProps) {
  const { defect, personId, personName, onDone, onRefused } = props;
  const t = useWords();
  const own = useReference((state) => state.reference?.ownPolicies);
  const { send, trouble: refused } = useSend(defect.inspectionId, personId);
  const policies = policiesFor(defect.policyIds, own);
  const [outcome, setOutcome] = useState<CertifiedOutcome>('repaired');
  const [words, setWords] = useState('');
  const [until, setUntil] = useState('');
  const [strokes, setStrokes] = useState<readonly Stroke[]>([]);
  const [round, setRound] = useState(0);
  const [trouble, setTrouble] = useState<string>();
  /** What is about to be certified; not yet, so that it can be taken back. */
  const [pending, setPending] = useState<CertifiedPayload>();
  const changeStrokes = useCallback((drawn: readonly Stroke[]) => setStrokes(drawn), []);

  const findTrouble = (): string | undefined => {
    if (words.trim().length < 3) return t('workshop.needWords');
    if (strokes.length === 0) return t('workshop.needSignature');
    if (outcome === 'deferred' && !DATE.test(until.trim())) return t('workshop.needUntil');
    const result = certify({
      status: defect.status,
      grade: defect.grade,
      outcome,
      until: outcome === 'deferred' ? until.trim() : undefined,
      today: new Date().toISOString().slice(0, 10),
      policies,
      reportedBy: defect.reportedById,
      by: personId,
      revision: defect.revision,
    });
    return typeof result === 'string'
      ? undefined
      : t(TROUBLE[result.refused] ?? 'workshop.notOpen');
  };

  const sign = () => {
    const found = findTrouble();
    setTrouble(found);
    if (found) return;
    setPending({
      defectId: defect.id,
      outcome,
      words: words.trim(),
      ...(outcome === 'deferred' && { until: until.trim() }),
      revision: defect.revision,
      signature: { name: personName, strokes },
    });
  };

  const certifyNow = async (payload: CertifiedPayload) => {
    setPending(undefined);
    const sending = await send('certified', payload);
    if (sending === 'refused') {
      onRefused();
      return;
    }
    if (sending === 'waiting') {
      onDone(t('workshop.kept'));
      return;
    }
    const second = policies.some(({ signatures }) => signatures.repair === 'mechanic-and-agent');
    onDone(
      t(
        payload.outcome === 'deferred'
          ? 'workshop.doneDeferred'
          : second
            ? 'workshop.doneSecond'
            : 'workshop.done',
      ),
    );
  };

  const shown = trouble ?? refused;
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
      {shown ? (
        <Body role="alert" className="font-thick text-vermilion">
          {shown}
        </Body>
      ) : null}
      {pending ? (
        <UndoBar
          words={t(`workshop.pending.${pending.outcome}`)}
          onElapsed={() => void certifyNow(pending)}
          onUndo={() => setPending(undefined)}
        />
      ) : (
        <Button
          look="main"
          className="min-h-[64px]"
          title={t(outcome === 'deferred' ? 'workshop.defer' : 'workshop.certify')}
          onPress={sign}
        />
      )}
      <Soft>
        {t('workshop.under', { policies: policies.map(({ title }) => title).join(' · ') })}
      </Soft>
    </Card>
  );
}
