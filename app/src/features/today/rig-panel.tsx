import type { Reference } from '@nazar/core/wire';
import { OPEN_STATUSES, UNREAD_STATUSES, atPlace, faultLine } from '@nazar/core/catalogue';
import { composeRig, type Rig } from '@nazar/core/rig';
import { useMemo, type ReactNode } from 'react';
import { View } from 'react-native';
import { Bead, Body, Button, Card, Columns, Heading, Soft, type BeadState } from '@/design';
import { RigDrawing, type FaultMark } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';
import { useCatalogueOf, type DefectRecord } from '@/state';

interface RigPanelProps {
  readonly rig: Reference['rigs'][number];
  readonly reference: Reference;
  readonly onChange: () => void;
  readonly onReport: (reportId: string) => void;
  readonly onLogbook: (unitId: string) => void;
  readonly onLeave: (inspectionId: string) => void;
  /** While it is out. */
  readonly underWay: ReactNode;
  readonly otherWalks: ReactNode;
  readonly onApart: () => void;
}

/** The chosen rig as it stands: drawing, last reports, open defects, repairs to acknowledge. */
export function RigPanel(props: RigPanelProps) {
  const { rig, reference, onChange, onReport, onLogbook, onLeave } = props;
  const t = useWords();
  const units = useMemo(
    () => rig.unitIds.flatMap((id) => reference.units.filter((unit) => unit.id === id)),
    [rig, reference],
  );
  const catalogue = useCatalogueOf(units);
  const composed = useMemo(
    (): Rig | undefined =>
      catalogue && units.length > 0
        ? composeRig({ units, phase: 'pre-trip', circumstances: [], catalogue })
        : undefined,
    [units, catalogue],
  );
  const defects = reference.defects.filter(({ unitId }) => rig.unitIds.includes(unitId));
  const open = defects.filter(({ status }) => OPEN_STATUSES.includes(status));
  const outing = reference.outings.find(({ unitIds }) =>
    unitIds.some((id) => rig.unitIds.includes(id)),
  );
  const jobs = reference.jobs.filter(({ unitIds }) =>
    unitIds.some((id) => rig.unitIds.includes(id)),
  );
  const weak = reference.weakSpots.flatMap(
    (spot) => composed?.instances.find(({ key }) => key === `${spot.unitId}/${spot.part}`) ?? [],
  );
  const repairs = defects.filter(({ status }) => UNREAD_STATUSES.includes(status));
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
            <RigDrawing
              rig={composed}
              label={rig.title}
              marks={toMarks(composed, open)}
              weak={weak}
            />
          ) : null}
          {outing ? (
            <Button
              start
              look="main"
              title={t('today.isOut')}
              note={[outing.title, outing.by, formatWhen(outing.outAt)].filter(Boolean).join(' · ')}
              onPress={() => onLeave(outing.inspectionId)}
            />
          ) : null}
          {props.underWay}
          {jobs.map((job) => (
            <Body key={job.id} className="font-thick">
              {formatWhen(job.startsAt)} · {job.title}
            </Body>
          ))}
          <LastReports rig={rig} reference={reference} onReport={onReport} />
          <View className="flex-row flex-wrap gap-2">
            {composed?.units.map(({ unit }) => (
              <Button
                key={unit.id}
                className="grow"
                title={t('today.logbook', { number: unit.number })}
                onPress={() => onLogbook(unit.id)}
              />
            ))}
          </View>
          {weak.length > 0 ? <Soft>{t('weak.count', { count: weak.length })}</Soft> : null}
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
                    {defect.unitNumber} · {atPlace(defect.title, defect.place)}
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
                    {t(`grade.${defect.grade}`)} · {defect.unitNumber} ·{' '}
                    {faultLine(defect.title, defect.place, defect.symptom)}
                  </Body>
                  <Soft>
                    {t('today.since', { when: formatWhen(defect.reportedAt) })}, {defect.reportedBy}
                  </Soft>
                  {defect.condition ? <Body>{defect.condition}</Body> : null}
                  {defect.returnOf ? <Soft>{t('cameBack')}</Soft> : null}
                </View>
              </View>
            ))}
          </Card>
          <Card>
            {props.otherWalks}
            <Button look="quiet" title={t('rig.apart')} onPress={props.onApart} />
          </Card>
        </>
      }
    />
  );
}

/** One line for each unit; the reports of one walk are told once, and name each other. */
function LastReports({
  rig,
  reference,
  onReport,
}: Pick<RigPanelProps, 'rig' | 'reference' | 'onReport'>) {
  const t = useWords();
  const reports = reference.lastReports.filter(({ unitId }) => rig.unitIds.includes(unitId));
  const once = reports.filter(
    (report, index) => reports.findIndex(({ signedAt }) => signedAt === report.signedAt) === index,
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
        {
          id: defect.id,
          state: defect.grade,
          x: placed.offset + defect.spot.x,
          y: placed.aside + defect.spot.y,
        },
      ];
    return instance ? [{ id: defect.id, state: defect.grade, x: instance.x, y: instance.y }] : [];
  });
}
