import type { ReportFile } from '@nazar/core/report';
import { useEffect, useState } from 'react';
import { Linking, View } from 'react-native';
import { Body, Button, Card, Screen, Soft } from '@/design';
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

  const toToday = <Button look="quiet" title={t('report.toToday')} onPress={onToday} />;
  if (!file)
    return (
      <Screen title={t('report.title')} actions={toToday}>
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
      title={t('report.title')}
      actions={toToday}
      width="columns"
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
      {file.report.verdict.shown === file.report.verdict.headline ? null : (
        <Card marked>
          <Body className="font-thick">
            {t('report.shown', {
              shown: t(`headline.${file.report.verdict.shown}`),
              headline: t(`headline.${file.report.verdict.headline}`),
            })}
          </Body>
        </Card>
      )}
      <ReportBody file={file} />
      <Soft>{t('guide')}</Soft>
    </Screen>
  );
}
