import { catalogue } from '@nazar/core/catalogue';
import { composeRig, type Rig } from '@nazar/core/rig';
import { useMemo } from 'react';
import { ScrollView, View } from 'react-native';
import { Bead, Body, Button, Card, Heading, Soft } from '@/design';
import { KeptPhoto, RigDrawing } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';
import { useReference, type DefectRecord, type Reference } from '@/state';
import { CertifyForm } from './certify-form';

interface DefectDetailProps {
  readonly defect: DefectRecord;
  readonly wide: boolean;
  readonly mayCertify: boolean;
  readonly personId: string;
  readonly personName: string;
  readonly onReport: (reportId: string) => void;
  readonly onDone: (sentence: string) => void;
}

/** One defect with its place, photos and reasons, and what came of it. */
export function DefectDetail(props: DefectDetailProps) {
  const t = useWords();
  const { defect, wide } = props;
  const reference = useReference((state) => state.reference);
  const rig = useMemo(() => rigOf(defect, reference), [defect, reference]);
  const spot = defect.spot ?? placeOf(defect, rig);
  return (
    <ScrollView contentContainerClassName={`gap-4 p-4 ${wide ? 'flex-row' : ''}`}>
      <View className={`gap-3 ${wide ? 'min-w-0 flex-1' : ''}`}>
        <View className="flex-row items-center gap-3">
          <Bead state={defect.grade} size={44} />
          <Heading level={2} className="shrink text-3xl">
            {defect.unitNumber} · {defect.symptom}
          </Heading>
        </View>
        <Body>
          {defect.title}
          {defect.place ? ` · ${defect.place}` : ''}
          {defect.extent ? ` · ${defect.extent}` : ''}
        </Body>
        <Soft>
          {defect.unitTitle} ·{' '}
          {t('workshop.reported', { when: formatWhen(defect.reportedAt), name: defect.reportedBy })}
          {defect.confirmedAt
            ? ` · ${t('workshop.confirmed', { when: formatWhen(defect.confirmedAt) })}`
            : ''}
        </Soft>
        {defect.note ? <Body className="font-thick">{defect.note}</Body> : null}
        {defect.until ? (
          <Body>
            {t('workshop.deferred', { until: defect.until, words: defect.outcomeWords ?? '' })}
          </Body>
        ) : null}
        {rig ? <RigDrawing rig={rig} label={t('workshop.drawing')} spot={spot} /> : null}
        {defect.photoIds.length === 0 ? <Soft>{t('workshop.noPhoto')}</Soft> : null}
        {defect.photoIds.map((id) => (
          <KeptPhoto key={id} id={id} label={t('workshop.photo')} size={240} />
        ))}
        <Card>
          <Heading level={3}>{t('workshop.why')}</Heading>
          {defect.reasons.map((reason, index) => (
            <Body key={index}>
              {index + 1}. {t(`reason.${reason.code}`, { words: reason.words })}
            </Body>
          ))}
          <Soft>{t('guide')}</Soft>
        </Card>
        {defect.reportId ? (
          <Button
            title={t('workshop.report')}
            onPress={() => defect.reportId && props.onReport(defect.reportId)}
          />
        ) : null}
      </View>
      {props.mayCertify ? (
        <View className={wide ? 'w-[380px]' : ''}>
          <CertifyForm
            defect={defect}
            personId={props.personId}
            personName={props.personName}
            onDone={props.onDone}
          />
        </View>
      ) : null}
    </ScrollView>
  );
}

/** The unit alone; a towed one is drawn as it stands without a truck. */
function rigOf(defect: DefectRecord, reference: Reference | undefined): Rig | undefined {
  const unit = reference?.units.find(({ id }) => id === defect.unitId);
  const module = catalogue.modules.find(({ id }) => id === unit?.moduleId);
  if (!unit || !module) return undefined;
  if (module.powered)
    return composeRig({ units: [unit], phase: 'pre-trip', circumstances: [], catalogue });
  return {
    units: [{ unit, module, offset: 0, followed: false }],
    length: module.length,
    width: module.width,
    height: module.height,
    towing: false,
    combinationAir: false,
    zones: [],
    instances: [],
    capabilities: [],
  };
}

function placeOf(defect: DefectRecord, rig: Rig | undefined) {
  const instance = rig?.instances.find(({ key }) => key === defect.key);
  return instance && { x: instance.x, y: instance.y };
}
