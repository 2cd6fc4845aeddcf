import { catalogue } from '@nazar/core/catalogue';
import { formatSi, unitFor } from '@nazar/core/quantity';
import type { Report, ReportAnswer, ReportDefect, ReportFile } from '@nazar/core/report';
import { composeRig, type Rig } from '@nazar/core/rig';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Bead, Body, Card, Heading, Soft, type BeadState } from '@/design';
import { KeptPhoto, limitDecimals, RigDrawing, SignatureDrawing, type FaultMark } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';
import { usePreferences, useReference } from '@/state';

/** Everything that a report says, in the order in which it is read. */
export function ReportBody({ file }: { readonly file: ReportFile }) {
  const t = useWords();
  const { report, seal } = file;
  const depotHabit = useReference((state) => state.reference?.habit);
  const habit = usePreferences((state) => state.habit) ?? depotHabit ?? 'customary';
  const rig = useMemo(() => rigOf(report), [report]);
  const sound = report.answers.filter(({ outcome }) => outcome === 'sound').length;
  const measured = report.answers.filter(({ readings }) => readings);
  const missed = report.answers.filter(({ outcome }) => outcome === 'not-looked');
  const conditions = [
    ...report.conditions.circumstances.map((each) =>
      t(each === 'freezing' ? 'report.freezing' : `begin.${each}`),
    ),
    report.conditions.temperatureC === undefined
      ? undefined
      : formatSi(report.conditions.temperatureC + 273.15, unitFor('temperature', habit)),
  ].filter(Boolean);
  return (
    <View className="gap-4">
      <Card>
        <Heading level={2}>
          {report.units.map((unit) => `${unit.number} ${unit.title}`).join(' + ')}
        </Heading>
        <Body>
          {t(`phase.${report.phase}`)} · {report.driver.name} · {formatWhen(report.signedAt)}
        </Body>
        <Soft>
          {report.organisation}, {report.depot} ·{' '}
          {conditions.length > 0 ? conditions.join(', ') : t('report.fair')}
        </Soft>
        {rig ? (
          <RigDrawing rig={rig} label={t('report.drawing')} marks={marksOf(report, rig)} />
        ) : null}
        <Body>{t('report.sound', { sound, total: report.answers.length })}</Body>
      </Card>
      <Card>
        <Heading level={2}>{t('report.may')}</Heading>
        {report.verdict.capabilities.map((each) => (
          <Body key={each.capability}>
            {t(`capability.${each.capability}`)}: {t(`capabilityState.${each.state}`)}
            {each.because.length > 0 ? `. ${each.because.slice(0, 5).join('; ')}` : ''}
          </Body>
        ))}
        {report.verdict.conditions.map((words) => (
          <Body key={words} className="font-thick">
            {words}
          </Body>
        ))}
      </Card>
      <Card>
        <Heading level={2}>{t('report.faults')}</Heading>
        {report.defects.length === 0 ? <Body>{t('sign.nothing')}</Body> : null}
        {report.defects.map((defect) => (
          <DefectLines key={defect.key} defect={defect} />
        ))}
      </Card>
      {report.carried.length > 0 ? (
        <Card>
          <Heading level={2}>{t('report.carried')}</Heading>
          {report.carried.map((each) => (
            <Body key={each.about}>
              {t(`grade.${each.grade}`)} · {each.title}: {each.words}
            </Body>
          ))}
        </Card>
      ) : null}
      {missed.length > 0 ? (
        <Card>
          <Heading level={2}>{t('report.notLooked')}</Heading>
          {missed.map((answer) => (
            <Body key={answer.key}>
              {nameOf(answer)}: {answer.reason}
            </Body>
          ))}
        </Card>
      ) : null}
      {measured.length > 0 ? (
        <Card>
          <Heading level={2}>{t('report.readings')}</Heading>
          {measured.map((answer) => (
            <ReadingLine key={answer.key} answer={answer} />
          ))}
        </Card>
      ) : null}
      <Card>
        <SignatureDrawing
          signature={report.signature}
          label={t('report.signature', { name: report.signature.name })}
        />
        <Body>{report.signature.name}</Body>
        <Soft>
          {t('verify.sealedAt', {
            when: formatWhen(seal.sealedAt),
            sequence: seal.chain.map((link) => link.sequence).join(', '),
          })}
        </Soft>
      </Card>
      {file.additions.length > 0 ? (
        <Card>
          <Heading level={2}>{t('report.after')}</Heading>
          {file.additions.map(({ addition }) => (
            <View key={addition.id}>
              <Body className="font-thick">
                {addition.kind === 'acknowledged'
                  ? t('report.acknowledged', { name: addition.by.name })
                  : addition.outcome
                    ? t(`outcome.${addition.outcome}`)
                    : ''}
              </Body>
              <Body>
                {report.defects.find(({ id }) => id === addition.defect)?.title} {addition.words}
              </Body>
              <Soft>
                {addition.by.name}, {formatWhen(addition.at)}
              </Soft>
            </View>
          ))}
        </Card>
      ) : null}
    </View>
  );
}

function nameOf(answer: ReportAnswer): string {
  return `${answer.unit} · ${answer.title}${answer.place ? ` · ${answer.place}` : ''}`;
}

function ReadingLine({ answer }: { readonly answer: ReportAnswer }) {
  const t = useWords();
  const reading = answer.readings?.at(-1);
  if (!reading) return null;
  const { limit, unit } = reading;
  const words =
    limit &&
    t(limit.side === 'below' ? 'keypad.least' : 'keypad.most', {
      least: formatSi(limit.value, unit, limitDecimals(limit.value, unit)),
      most: formatSi(limit.value, unit, limitDecimals(limit.value, unit)),
    });
  return (
    <View className="flex-row items-start gap-3">
      <View className="pt-0.5">
        <Bead state={answer.outcome} size={22} />
      </View>
      <View className="shrink">
        <Body>
          {(answer.readings ?? []).map((each) => formatSi(each.value, each.unit)).join(', ')} ·{' '}
          {nameOf(answer)}
        </Body>
        {words ? <Soft>{words}</Soft> : null}
      </View>
    </View>
  );
}

function DefectLines({ defect }: { readonly defect: ReportDefect }) {
  const t = useWords();
  return (
    <View className="flex-row gap-3">
      <View className="pt-0.5">
        <Bead state={defect.grade as BeadState} size={26} />
      </View>
      <View className="shrink gap-1">
        <Body className="font-thick">
          {t(`grade.${defect.grade}`)} · {defect.unit} · {defect.symptom}
        </Body>
        <Body>
          {defect.title}
          {defect.place ? ` · ${defect.place}` : ''}
        </Body>
        {defect.reasons.slice(1).map((reason, index) => (
          <Soft key={index}>{t(`reason.${reason.code}`, { words: reason.words })}</Soft>
        ))}
        {defect.fixed ? <Body>{t('report.fixed', { words: defect.fixed })}</Body> : null}
        {defect.note ? <Body>{defect.note}</Body> : null}
        {defect.photos.map((photo, index) => (
          <KeptPhoto
            key={photo.id}
            id={photo.id}
            size={150}
            label={`${defect.symptom}, ${t('fault.photoOf', { number: index + 1 })}`}
          />
        ))}
      </View>
    </View>
  );
}

function rigOf(report: Report): Rig | undefined {
  try {
    return composeRig({
      units: report.units.map((unit) => ({ ...unit, moduleId: unit.module, specification: {} })),
      phase: report.phase,
      circumstances: report.conditions.circumstances,
      catalogue,
    });
  } catch (error) {
    // A module that is gone leaves the drawing out; the words stand.
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}

function marksOf(report: Report, rig: Rig): FaultMark[] {
  return report.defects.flatMap((defect) => {
    const placed = rig.units.find(({ unit }) => unit.number === defect.unit);
    const instance = rig.instances.find(({ key }) => key === defect.key);
    const at =
      defect.spot && placed
        ? { x: defect.spot.x + placed.offset, y: defect.spot.y }
        : instance && { x: instance.x, y: instance.y };
    return at ? [{ id: defect.id, state: defect.grade as BeadState, ...at }] : [];
  });
}
