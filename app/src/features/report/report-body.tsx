import { atPlace, faultLine } from '@nazar/core/catalogue';
import { formatSi, unitFor } from '@nazar/core/quantity';
import {
  hoursLate,
  marksOfReport,
  rigOfReport,
  type Report,
  type ReportAnswer,
  type ReportDefect,
} from '@nazar/core/report';
import type { ReportFile } from '@nazar/core/seal';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Bead, Body, Card, Heading, Soft, type BeadState } from '@/design';
import { KeptPhoto, limitDecimals, RigDrawing } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';
import { SignatureDrawing } from '@/signature';
import { useHabit, useModulesOf, useSpeed } from '@/state';
import { AdditionLines } from './addition-lines';

/** Everything that a report says, in the order in which it is read. */
export function ReportBody({ file }: { readonly file: ReportFile }) {
  const t = useWords();
  const { report, seal } = file;
  const habit = useHabit();
  const speed = useSpeed();
  const catalogue = useModulesOf(
    (report.rig?.units ?? report.units).map(({ module: moduleId, fitted }) => ({
      moduleId,
      fitted,
    })),
    report.catalogue,
  );
  const rig = useMemo(() => catalogue && rigOfReport(report, catalogue), [report, catalogue]);
  const sound = report.answers.filter(({ outcome }) => outcome === 'sound').length;
  const measured = report.answers.filter(({ readings }) => readings);
  const counted = report.answers.filter((answer) => answer.counted);
  const missed = report.answers.filter(({ outcome }) => outcome === 'not-looked');
  const conditions = [
    ...report.conditions.circumstances.map((each) => t(`circumstance.${each}`)),
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
          <View className="w-full max-w-[680px] self-center">
            <RigDrawing
              rig={rig}
              label={t('report.drawing')}
              marks={marksOfReport(report, rig).map(({ defect, x, y }) => ({
                id: defect.id,
                state: defect.grade,
                x,
                y,
              }))}
            />
          </View>
        ) : null}
        <Soft>
          {t('report.graded', { policy: report.policy.title })}
          {report.policy.beside
            ? ` ${t('report.beside', { titles: report.policy.beside.join(', ') })}`
            : ''}
        </Soft>
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
        {report.verdict.mostKmh === undefined ? null : (
          <Body className="font-thick">{t('most', { speed: speed(report.verdict.mostKmh) })}</Body>
        )}
        {report.verdict.conditions.map((words) => (
          <Body key={words} className="font-thick">
            {words}
          </Body>
        ))}
      </Card>
      <Card>
        <Heading level={2}>{t('report.faults')}</Heading>
        {report.defects.length === 0 ? (
          report.carried.length === 0 ? (
            <Body>
              {report.policy.words ? `${report.policy.words.sound}. ` : ''}
              {t('sign.nothing')}
            </Body>
          ) : (
            <Body>{t('sign.nothingNew', { count: report.carried.length })}</Body>
          )
        ) : null}
        {report.defects.map((defect) => (
          <DefectLines key={defect.key} defect={defect} words={report.policy.words} />
        ))}
      </Card>
      {report.course ? (
        <Card>
          <Heading level={2}>{t('report.course')}</Heading>
          <CourseLines course={report.course} />
        </Card>
      ) : null}
      {report.pace ? (
        <Card>
          <Heading level={2}>{t('report.pace')}</Heading>
          <PaceLines pace={report.pace} />
        </Card>
      ) : null}
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
      {report.notAsked ? (
        <Card>
          <Heading level={2}>{t('report.notAsked')}</Heading>
          {report.notAsked.map(({ title, reason }) => (
            <Body key={title}>
              {title}: {reason}
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
      {counted.length > 0 ? (
        <Card>
          <Heading level={2}>{t('report.counted')}</Heading>
          {counted.map((answer) => (
            <Body key={answer.key}>
              {nameOf(answer)}: {answer.counted?.map((item) => toCountWords(item, t)).join(', ')}
            </Body>
          ))}
        </Card>
      ) : null}
      <Card>
        <SignatureDrawing
          signature={report.signature}
          label={t('report.signature', { name: report.signature.name })}
        />
        <Body>{report.signature.name}</Body>
        <Late enteredAt={report.signedAt} sealedAt={seal.sealedAt} />
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
          {file.additions.map(({ addition, seal: { sealedAt } }) => (
            <View key={addition.id}>
              <AdditionLines addition={addition} report={report} />
              <Late enteredAt={addition.at} sealedAt={sealedAt} />
            </View>
          ))}
        </Card>
      ) : null}
    </View>
  );
}

/** What came long after it was entered says so. */
function Late(times: { readonly enteredAt: string; readonly sealedAt: string }) {
  const t = useWords();
  const hours = hoursLate(times.enteredAt, times.sealedAt);
  return hours === undefined ? null : <Soft>{t('report.late', { count: hours })}</Soft>;
}

function nameOf(answer: ReportAnswer): string {
  return `${answer.unit} · ${atPlace(answer.title, answer.place)}`;
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

function DefectLines({
  defect,
  words,
}: {
  readonly defect: ReportDefect;
  readonly words: Report['policy']['words'];
}) {
  const t = useWords();
  return (
    <View className="flex-row gap-3">
      <View className="pt-0.5">
        <Bead state={defect.grade as BeadState} size={26} />
      </View>
      <View className="shrink gap-1">
        <Body className="font-thick">
          {t(`grade.${defect.grade}`)} · {defect.unit} ·{' '}
          {faultLine(defect.title, defect.place, defect.symptom)}
        </Body>
        {defect.reasons.slice(1).map((reason, index) => (
          <Soft key={index}>{t(`reason.${reason.code}`, { words: reason.words })}</Soft>
        ))}
        {words ? <Soft>{words[defect.grade]}</Soft> : null}
        {defect.condition ? <Body>{defect.condition}</Body> : null}
        {defect.due && defect.grade === 'minor' ? (
          <Soft>{t('fault.due', { when: formatWhen(defect.due) })}</Soft>
        ) : null}
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

function toCountWords(
  { title, found, expected, until }: NonNullable<ReportAnswer['counted']>[number],
  t: ReturnType<typeof useWords>,
): string {
  const words = `${title} ${t('report.countedOf', { found, expected })}`;
  return until ? `${words} (${t('report.goodUntil', { until })})` : words;
}

/** What happened beside the answers: presence, helpers, what came up on the way. */
function CourseLines({ course }: { readonly course: NonNullable<Report['course']> }) {
  const t = useWords();
  const { presence = [], helpers = [], leftBehind, turned = [], clockMoved = [] } = course;
  return (
    <>
      {leftBehind ? (
        <Body className="font-thick">
          {t('report.leftBehind', { reason: leftBehind.reason, when: formatWhen(leftBehind.at) })}
        </Body>
      ) : null}
      {presence.map(({ title, at, how }) => (
        <Body key={title}>{t(`report.present.${how}`, { stop: title, when: formatWhen(at) })}</Body>
      ))}
      {helpers.map(({ name, from, to }) => (
        <Body key={from}>
          {t(to ? 'report.helped' : 'report.helps', {
            name,
            from: formatWhen(from),
            to: to && formatWhen(to),
          })}
        </Body>
      ))}
      {turned.map(({ circumstances, at }) => (
        <Body key={at}>
          {t('report.turned', {
            circumstances: circumstances.map((each) => t(`circumstance.${each}`)).join(', '),
            when: formatWhen(at),
          })}
        </Body>
      ))}
      {clockMoved.map(({ seconds, at }) => (
        <Body key={at}>
          {t('report.clockMoved', { minutes: Math.round(seconds / 6) / 10, when: formatWhen(at) })}
        </Body>
      ))}
    </>
  );
}

/** Stops that were faster than they can be walked; said plainly, and nobody is accused. */
function PaceLines({ pace }: { readonly pace: NonNullable<Report['pace']> }) {
  const t = useWords();
  if (pace.hasty.length === 0) return <Soft>{t('report.paceFine')}</Soft>;
  return (
    <>
      <Body className="font-thick">
        {t('report.hasty', { count: pace.hasty.length, stops: pace.stops })}
      </Body>
      {pace.hasty.map(({ title, checks, seconds, floor }) => (
        <Soft key={`${title} ${seconds}`}>
          {t('report.hastyStop', {
            title,
            count: checks,
            seconds: Math.round(seconds),
            floor: Math.round(floor),
          })}
        </Soft>
      ))}
    </>
  );
}
