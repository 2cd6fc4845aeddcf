import { catalogue } from '@nazar/core/catalogue';
import { composeRig, type Rig } from '@nazar/core/rig';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Bead, Body, Button, Card, Columns, Heading, Soft, type BeadState } from '@/design';
import { RigDrawing, type FaultMark } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';
import type { DefectRecord, Reference } from '@/state';

interface RigPanelProps {
  readonly rig: Reference['rigs'][number];
  readonly reference: Reference;
  readonly onChange: () => void;
  readonly onReport: (reportId: string) => void;
}

/** The chosen rig as it stands: drawing, last reports, open defects, repairs to acknowledge. */
export function RigPanel({ rig, reference, onChange, onReport }: RigPanelProps) {
  const t = useWords();
  const composed = useMemo((): Rig | undefined => {
    const units = rig.unitIds.flatMap((id) => reference.units.filter((unit) => unit.id === id));
    if (units.length === 0) return undefined;
    return composeRig({ units, phase: 'pre-trip', circumstances: [], catalogue });
  }, [rig, reference]);
  const defects = reference.defects.filter(({ unitId }) => rig.unitIds.includes(unitId));
  const open = defects.filter(({ status }) => status === 'open' || status === 'deferred');
  const repairs = defects.filter(
    ({ status }) => status === 'repaired' || status === 'no-repair-needed',
  );
  return (
    <Columns
      left={
        <Card>
          <View className="flex-row items-center justify-between">
            <Heading level={2} className="shrink text-3xl">
              {rig.title}
            </Heading>
            <Button look="quiet" title={t('today.change')} onPress={onChange} />
          </View>
          {composed ? (
            <RigDrawing rig={composed} label={rig.title} marks={toMarks(composed, open)} />
          ) : null}
          <LastReports rig={rig} reference={reference} onReport={onReport} />
        </Card>
      }
      right={
        <>
          {repairs.length > 0 ? (
            <Card marked>
              <Heading level={2}>{t('today.repairs')}</Heading>
              <Soft>{t('today.repairsWhy')}</Soft>
              {repairs.map((defect) => (
                <View key={defect.id}>
                  <Body className="font-thick">
                    {defect.unitNumber} · {defect.title}
                    {defect.place ? ` · ${defect.place}` : ''}
                  </Body>
                  <Body>
                    {t(`outcome.${defect.outcome ?? 'repaired'}`)}: {defect.outcomeWords}
                  </Body>
                  <Soft>
                    {defect.certifiedBy}
                    {defect.certifiedAt ? `, ${formatWhen(defect.certifiedAt)}` : ''}
                  </Soft>
                </View>
              ))}
            </Card>
          ) : null}
          <Card>
            <Heading level={2}>{t('today.open')}</Heading>
            {open.length === 0 ? <Body>{t('today.none')}</Body> : null}
            {open.map((defect) => (
              <View key={defect.id} className="flex-row gap-3">
                <View className="pt-0.5">
                  <Bead state={defect.grade} size={26} />
                </View>
                <View className="shrink">
                  <Body className="font-thick">
                    {t(`grade.${defect.grade}`)} · {defect.unitNumber} · {defect.symptom}
                  </Body>
                  <Body>
                    {defect.title}
                    {defect.place ? ` · ${defect.place}` : ''}
                  </Body>
                  <Soft>
                    {t('today.since', { when: formatWhen(defect.reportedAt) })}, {defect.reportedBy}
                  </Soft>
                  {defect.condition ? <Body>{defect.condition}</Body> : null}
                </View>
              </View>
            ))}
          </Card>
        </>
      }
    />
  );
}

/** One line for each unit; the same report of both units is told once. */
function LastReports({ rig, reference, onReport }: Omit<RigPanelProps, 'onChange'>) {
  const t = useWords();
  const reports = reference.lastReports.filter(({ unitId }) => rig.unitIds.includes(unitId));
  const once = reports.filter(
    (report, index) => reports.findIndex(({ reportId }) => reportId === report.reportId) === index,
  );
  if (once.length === 0) return <Soft>{t('today.noReport')}</Soft>;
  return once.map((report) => (
    <Button
      key={report.unitId}
      start
      before={<Bead state={HEADLINE_BEAD[report.headline]} size={28} />}
      title={`${t('today.lastReport')}: ${t(`headline.${report.headline}`)}`}
      note={t('today.reportLine', {
        phase: t(`phase.${report.phase}`),
        when: formatWhen(report.signedAt),
        driver: report.driver,
      })}
      disabled={!report.reportId}
      onPress={() => report.reportId && onReport(report.reportId)}
    />
  ));
}

const HEADLINE_BEAD: Readonly<Record<'rolls' | 'limits' | 'stays', BeadState>> = {
  rolls: 'sound',
  limits: 'minor',
  stays: 'major',
};

function toMarks(rig: Rig, open: readonly DefectRecord[]): FaultMark[] {
  return open.flatMap((defect) => {
    const placed = rig.units.find(({ unit }) => unit.id === defect.unitId);
    const instance = rig.instances.find(({ key }) => key === defect.key);
    if (defect.spot && placed)
      return [
        { id: defect.id, state: defect.grade, x: placed.offset + defect.spot.x, y: defect.spot.y },
      ];
    return instance ? [{ id: defect.id, state: defect.grade, x: instance.x, y: instance.y }] : [];
  });
}
