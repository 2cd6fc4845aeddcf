import type { ReportFile } from '@nazar/core/report';
import { useEffect, useState } from 'react';
import { Linking, View } from 'react-native';
import { Body, Button, Card, Heading, Screen, Soft } from '@/design';
import { HeadlineBanner } from '@/drawing';
import { useWords } from '@/i18n';
import { loadReportText, parseReport, useLog, useSync } from '@/state';
import { ReportBody } from './report-body';

export interface ReportScreenProps {
  readonly reportId: string;
  readonly onVerify: () => void;
  readonly onToday: () => void;
}

/** A sealed report as it will always stand; or word that it waits for the network. */
export function ReportScreen({ reportId, onVerify, onToday }: ReportScreenProps) {
  const t = useWords();
  const [file, setFile] = useState<ReportFile | null>();
  const waiting = useSync((state) => state.waiting);
  const signedHere = useLog((state) =>
    state.logs.get(reportId)?.some((event) => event.type === 'signed'),
  );
  useEffect(() => {
    void useLog.getState().load(reportId);
  }, [reportId]);
  const unsent = signedHere === true && waiting > 0;
  useEffect(() => {
    if (unsent) return undefined;
    let gone = false;
    loadReportText(reportId).then(
      (text) => !gone && setFile(parseReport(text)),
      () => !gone && setFile((before) => before ?? null),
    );
    return () => {
      gone = true;
    };
    // Once the last entry has left this phone the report may be there.
  }, [reportId, unsent]);

  const head = (
    <View className="mx-auto w-full max-w-[680px] flex-row items-center justify-between pl-4 pr-2 pt-1">
      <Heading level={1} className="text-3xl">
        {t('report.title')}
      </Heading>
      <Button look="quiet" title={t('report.toToday')} onPress={onToday} />
    </View>
  );
  if (!file)
    return (
      <Screen head={head}>
        {file === undefined && !unsent ? <Body>{t('loading')}</Body> : null}
        {file === null || unsent ? (
          <Card>
            <Body>{t(signedHere ? 'report.waiting' : 'report.notHere')}</Body>
          </Card>
        ) : null}
      </Screen>
    );
  return (
    <Screen
      head={head}
      foot={
        <View className="flex-row gap-2">
          <Button className="flex-1" title={t('report.verify')} onPress={onVerify} />
          <Button
            className="flex-1"
            title={t('report.json')}
            onPress={() => void Linking.openURL(`/api/reports/${reportId}?download`)}
          />
          <Button
            look="main"
            className="flex-1"
            title={t('report.pdf')}
            onPress={() => window.open(`/api/reports/${reportId}/pdf`, '_blank', 'noopener')}
          />
        </View>
      }
    >
      <HeadlineBanner headline={file.report.verdict.headline} />
      <ReportBody file={file} />
      <Soft>{t('guide')}</Soft>
    </Screen>
  );
}
