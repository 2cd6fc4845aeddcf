import { verifyReport, type Verification } from '@nazar/core/seal';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Bead, Body, Button, Card, Heading, Screen, Soft, type BeadState } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { loadReportText, loadSealKeys } from '@/state';

interface VerifyScreenProps {
  /** A report to check at once; else a file is chosen. */
  readonly reportId?: string;
  readonly onBack: () => void;
}

const MOST_BYTES = 20 * 1024 * 1024;

const LOOK: Readonly<Record<Verification['outcome'], BeadState>> = {
  intact: 'sound',
  changed: 'major',
  'unknown-key': 'major',
  unreadable: 'minor',
};

/** Says of a report file that it is intact, or names what was changed. Works without a network. */
export function VerifyScreen({ reportId, onBack }: VerifyScreenProps) {
  const t = useWords();
  const input = useRef<HTMLInputElement>(null);
  const [result, setResult] = useState<Verification>();
  const check = async (text: string) => setResult(verifyReport(text, await loadSealKeys()));
  useEffect(() => {
    if (!reportId) return;
    loadReportText(reportId).then(check, () =>
      setResult({ outcome: 'unreadable', where: t('report.notHere') }),
    );
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [reportId]);
  const read = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES) setResult({ outcome: 'unreadable', where: file.name });
    else await check(await file.text());
  };
  return (
    <Screen
      title={t('verify.title')}
      actions={<Button look="quiet" title={t('back')} onPress={onBack} />}
    >
      <Body>{t('verify.explain')}</Body>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label={t('verify.choose')}
        tabIndex={-1}
        data-testid="report-input"
        style={{ display: 'none' }}
        onChange={(event) => {
          void read(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <Button title={t('verify.choose')} onPress={() => input.current?.click()} />
      {result ? (
        <View aria-live="polite">
          <Card>
            <View className="flex-row items-center gap-3">
              <Bead size={40} state={LOOK[result.outcome]} />
              <Heading level={2} className="text-3xl">
                {t(`verify.${result.outcome}`)}
              </Heading>
            </View>
            <ResultWords result={result} />
          </Card>
        </View>
      ) : null}
    </Screen>
  );
}

function ResultWords({ result }: { readonly result: Verification }) {
  const t = useWords();
  switch (result.outcome) {
    case 'intact':
      return (
        <View className="gap-1">
          <Body>{t('verify.intactWords')}</Body>
          <Body className="font-thick">
            {result.report.units.map(({ number }) => number).join(' + ')} ·{' '}
            {t(`headline.${result.report.verdict.headline}`)} · {result.report.driver.name}
          </Body>
          <Soft>
            {t('verify.sealedAt', {
              when: formatWhen(result.seal.sealedAt),
              sequence: result.seal.chain.map((link) => link.sequence).join(', '),
            })}
          </Soft>
          {result.notes.map((note) => (
            <Body key={note}>{t(`verify.${note}`, { key: result.seal.key })}</Body>
          ))}
        </View>
      );
    case 'changed':
      return (
        <View className="gap-1">
          <Body>{t('verify.changedWords')}</Body>
          {result.changes.map((change) => (
            <View key={change.path}>
              <Body className="font-thick">{change.path}</Body>
              <Body>{change.words}</Body>
            </View>
          ))}
        </View>
      );
    case 'unknown-key':
      return <Body>{t('verify.unknownKeyWords', { key: result.key })}</Body>;
    case 'unreadable':
      return <Body>{result.where}</Body>;
  }
}
