import { OPEN_STATUSES, faultLine } from '@nazar/core/catalogue';
import { useMemo } from 'react';
import { ScrollView, View } from 'react-native';
import { Bead, Body, Button, Card, Heading, Soft, useNow } from '@/design';
import { KeptPhoto, RigDrawing, unitAlone } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';
import {
  useCatalogueOf,
  useDefectFile,
  useReference,
  type Comparison,
  type DefectRecord,
} from '@/state';
import { AssignRow } from './assign-row';
import { CertifyForm } from './certify-form';
import { Correction } from './correction';
import { Life } from './life';
import { SecondSignature } from './second-signature';
import { WorkForm } from './work-form';

interface DefectDetailProps {
  readonly defect: DefectRecord;
  readonly wide: boolean;
  readonly role: 'driver' | 'mechanic' | 'supervisor';
  readonly personId: string;
  readonly personName: string;
  readonly onReport: (reportId: string) => void;
  readonly onLogbook: (unitId: string) => void;
  readonly onCompare: (what: Comparison) => void;
  readonly onDone: (sentence: string) => void;
}

/** One defect with its place, photos, reasons and life, and what comes of it. */
export function DefectDetail(props: DefectDetailProps) {
  const { wide, role, personId, personName } = props;
  const t = useWords();
  const reference = useReference((state) => state.reference);
  // Without a network what the list knows is shown, and no life.
  const { value: file, reload } = useDefectFile(props.defect.id);
  const defect = file?.defect ?? props.defect;
  const { unitId } = defect;
  const unit = reference?.units.find((each) => each.id === unitId);
  const catalogue = useCatalogueOf(unit ? [unit] : []);
  const rig = useMemo(() => unit && catalogue && unitAlone(unit, catalogue), [unit, catalogue]);
  const spot = defect.spot ?? rig?.instances.find(({ key }) => key === defect.key);
  const open = OPEN_STATUSES.includes(defect.status);
  return (
    <ScrollView tabIndex={0} contentContainerClassName={`gap-4 p-4 ${wide ? 'flex-row' : ''}`}>
      <View className={`gap-3 ${wide ? 'min-w-0 flex-1' : ''}`}>
        <View className="flex-row items-center gap-3">
          <Bead state={defect.grade} size={44} />
          <Heading level={2} className="shrink text-3xl">
            {defect.unitNumber} · {faultLine(defect.title, defect.place, defect.symptom)}
          </Heading>
        </View>
        {defect.extent ? <Body>{defect.extent}</Body> : null}
        <Soft>
          {[
            defect.unitTitle,
            t('workshop.reported', {
              when: formatWhen(defect.reportedAt),
              name: defect.reportedBy,
            }),
            defect.confirmedAt &&
              t('workshop.confirmed', {
                when: formatWhen(defect.confirmedAt),
                count: defect.confirmations,
              }),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Soft>
        <Urgency defect={defect} />
        {file?.formerRepair ? (
          <Card marked>
            <Heading level={3}>{t('workshop.return')}</Heading>
            <Body>
              {t('workshop.returnOf', {
                when: formatWhen(file.formerRepair.certifiedAt ?? ''),
                name: file.formerRepair.certifiedBy ?? '',
                words: file.formerRepair.outcomeWords ?? '',
              })}
            </Body>
          </Card>
        ) : null}
        {defect.note ? <Body className="font-thick">{defect.note}</Body> : null}
        {defect.until ? (
          <Body>
            {t('workshop.deferred', { until: defect.until, words: defect.outcomeWords ?? '' })}
          </Body>
        ) : null}
        {rig ? <RigDrawing rig={rig} label={t('workshop.drawing')} spot={spot} /> : null}
        {defect.photoIds.length === 0 ? <Soft>{t('workshop.noPhoto')}</Soft> : null}
        {defect.photoIds.map((photo) => (
          <KeptPhoto key={photo} id={photo} label={t('workshop.photo')} size={240} />
        ))}
        <Card>
          <Heading level={3}>{t('workshop.why')}</Heading>
          {defect.reasons.map((reason, index) => (
            <Body key={index}>
              {index + 1}. {t(`reason.${reason.code}`, { words: reason.words })}
            </Body>
          ))}
          <Soft>{t('guide')}</Soft>
          {defect.symptomId ? (
            <Button
              look="quiet"
              title={t('compare.open')}
              onPress={() =>
                props.onCompare({
                  checkId: defect.key.split('/')[1],
                  symptomId: defect.symptomId ?? '',
                  circumstances: [],
                  needed: [],
                })
              }
            />
          ) : null}
        </Card>
        {file ? <Life steps={file.steps} /> : null}
        <View className="flex-row flex-wrap gap-2">
          {defect.reportId ? (
            <Button
              title={t('workshop.report')}
              onPress={() => defect.reportId && props.onReport(defect.reportId)}
            />
          ) : null}
          <Button title={t('logbook.open')} onPress={() => props.onLogbook(defect.unitId)} />
          <Correction defect={defect} personId={personId} onChanged={reload} />
        </View>
      </View>
      {role === 'driver' || !open ? null : (
        <View className={`gap-4 ${wide ? 'w-[380px]' : ''}`}>
          <AssignRow defect={defect} personId={personId} onChanged={reload} />
          {role === 'mechanic' ? (
            <>
              <WorkForm defect={defect} personId={personId} onChanged={reload} />
              {defect.status === 'awaiting-agent' ? (
                <Card marked>
                  <Body>{t('workshop.waitsSecond')}</Body>
                </Card>
              ) : (
                <CertifyForm
                  defect={defect}
                  personId={personId}
                  personName={personName}
                  onDone={props.onDone}
                  onRefused={reload}
                />
              )}
            </>
          ) : null}
          {role === 'supervisor' && defect.status === 'awaiting-agent' ? (
            <SecondSignature
              defect={defect}
              personId={personId}
              personName={personName}
              onDone={props.onDone}
            />
          ) : null}
        </View>
      )}
    </ScrollView>
  );
}

/** Until when, for what, and by whom. */
function Urgency({ defect }: { readonly defect: DefectRecord }) {
  const t = useWords();
  const now = useNow();
  const { dueAt, reportedAt } = defect;
  const atOnce = dueAt !== null && Date.parse(dueAt) <= Date.parse(reportedAt);
  const overdue = dueAt !== null && Date.parse(dueAt) < now;
  const words = [
    defect.neededAt && t('workshop.needed', { when: formatWhen(defect.neededAt) }),
    dueAt &&
      (atOnce
        ? t('workshop.dueAtOnce')
        : t(overdue ? 'workshop.overdue' : 'workshop.due', { when: formatWhen(dueAt) })),
  ].filter(Boolean);
  return words.length > 0 ? <Body className="font-thick">{words.join(' · ')}</Body> : null;
}
