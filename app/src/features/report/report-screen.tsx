import { useEffect, useState } from 'react';
import { Linking, View } from 'react-native';
import { Body, Button, Card, Screen, Sheet, Soft } from '@/design';
import { HeadlineBanner } from '@/drawing';
import { useWords } from '@/i18n';
import { useLog, useReport, useSession, useSync } from '@/state';
import { ReportBody } from './report-body';

export interface ReportScreenProps {
  readonly reportId: string;
  readonly onVerify: () => void;
  readonly onToday: () => void;
  /** Another unit of the same rig. */
  readonly onOther: (reportId: string) => void;
  readonly onLeave: (inspectionId: string) => void;
}

/** A sealed report as it will always stand; or word that it waits for the network. */
export function ReportScreen(props: ReportScreenProps) {
  const { reportId, onVerify, onToday, onOther, onLeave } = props;
  const t = useWords();
  const [files, setFiles] = useState(false);
  const personId = useSession((state) => state.person?.id);
  const waiting = useSync((state) => state.waiting);
  const signedHere = useLog((state) =>
    state.logs.get(reportId)?.some((event) => event.type === 'signed'),
  );
  useEffect(() => {
    void useLog.getState().load(reportId);
  }, [reportId]);
  const unsent = signedHere === true && waiting > 0;
  // Once the last entry has left this phone the report may be there.
  const { value: file, trouble } = useReport(reportId, !unsent);

  const toToday = <Button look="quiet" title={t('report.toToday')} onPress={onToday} />;
  if (!file)
    return (
      <Screen title={t('report.title')} actions={toToday}>
        {!trouble && !unsent ? <Body>{t('loading')}</Body> : null}
        {trouble || unsent ? (
          <Card>
            <Body>{t(signedHere ? 'report.waiting' : 'report.notHere')}</Body>
          </Card>
        ) : null}
      </Screen>
    );
  const { report, additions } = file;
  const { rig } = report;
  const shown = rig?.shown ?? report.verdict.shown;
  const headline = rig?.headline ?? report.verdict.headline;
  const isOwn = report.driver.id === personId;
  const isOut = additions.some(({ addition }) => addition.kind === 'signed-out');
  const isBack = additions.some(({ addition }) => addition.kind === 'returned');
  return (
    <Screen
      title={t('report.title')}
      actions={toToday}
      width="columns"
      foot={
        <View className="flex-row gap-2">
          <Button
            className="flex-1"
            title={t('report.pdf')}
            onPress={() => window.open(`/api/reports/${reportId}/pdf`, '_blank', 'noopener')}
          />
          <Button className="flex-1" title={t('report.more')} onPress={() => setFiles(true)} />
          {isOwn && !isBack && report.phase === 'pre-trip' ? (
            <Button
              look="main"
              className="flex-1"
              title={t(isOut ? 'leave.return' : 'leave.title')}
              onPress={() => onLeave(report.inspection)}
            />
          ) : null}
        </View>
      }
    >
      {rig && rig.units.length > 1 ? (
        <View className="flex-row flex-wrap gap-2" role="group" aria-label={t('report.units')}>
          {rig.units.map((unit) => (
            <Button
              key={unit.id}
              className="grow"
              title={unit.number}
              label={`${unit.number} ${unit.title}`}
              selected={unit.report === reportId}
              onPress={() => onOther(unit.report)}
            />
          ))}
        </View>
      ) : null}
      <HeadlineBanner headline={report.verdict.headline} />
      {shown === undefined || shown === headline ? null : (
        <Card marked>
          <Body className="font-thick">
            {t('report.shown', {
              shown: t(`headline.${shown}`),
              headline: t(`headline.${headline}`),
            })}
          </Body>
        </Card>
      )}
      <ReportBody file={file} />
      <Soft>{t('guide')}</Soft>
      {files ? (
        <FilesSheet reportId={reportId} onVerify={onVerify} onClose={() => setFiles(false)} />
      ) : null}
    </Screen>
  );
}

/** The report in every form that leaves the house. */
function FilesSheet({
  reportId,
  onVerify,
  onClose,
}: {
  readonly reportId: string;
  readonly onVerify: () => void;
  readonly onClose: () => void;
}) {
  const t = useWords();
  const open = (path: string) => void Linking.openURL(`/api/reports/${reportId}${path}`);
  return (
    <Sheet title={t('report.more')} closeTitle={t('close')} onClose={onClose}>
      <Button title={t('report.verify')} onPress={onVerify} />
      <Button title={t('report.json')} onPress={() => open('?download')} />
      <Button title={t('report.a4')} onPress={() => open('/pdf?paper=a4')} />
      <Button title={t('report.letter')} onPress={() => open('/pdf?paper=letter')} />
      <Button title={t('report.defectsCsv')} onPress={() => open('/defects.csv')} />
      <Button title={t('report.readingsCsv')} onPress={() => open('/readings.csv')} />
    </Sheet>
  );
}
