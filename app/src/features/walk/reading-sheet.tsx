import {
  findImpossible,
  isLeap,
  judgeReading,
  soundRange,
  unitOf,
  type AppliedLimit,
  type Judgement,
  type SoundRange,
} from '@nazar/core/measure';
import {
  formatSi,
  parseTyped,
  toSi,
  UNITS,
  type UnitHabit,
  type UnitName,
} from '@nazar/core/quantity';
import type { CheckInstance } from '@nazar/core/rig';
import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Figure, Keypad, Sheet, Soft } from '@/design';
import { Gauge, limitDecimals } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';
import type { LastReading } from './dock';

export interface TypedReading {
  readonly value: number;
  readonly unit: UnitName;
  readonly typed: string;
}

interface ReadingSheetProps {
  readonly instance: CheckInstance;
  readonly habit: UnitHabit;
  readonly combinationAir: boolean;
  readonly last?: LastReading;
  /** A first reading that was too close to its limit, SI. */
  readonly first?: number;
  readonly onKeep: (reading: TypedReading) => void;
  readonly onClose: () => void;
}

/** A large keypad with the limit and the last value beside it. */
export function ReadingSheet(props: ReadingSheetProps) {
  const t = useWords();
  const { instance, habit, combinationAir, last } = props;
  const { reading } = instance.check;
  const [typed, setTyped] = useState('');
  const [trouble, setTrouble] = useState<string>();
  // A number that leaps from the last one is typed twice.
  const [leapt, setLeapt] = useState<number>();
  if (!reading) return null;
  const { figures: specification } = instance;
  const unit = unitOf(reading, habit);
  const range = soundRange(reading, specification, combinationAir);
  const parsed = parseTyped(typed, unit);
  const exact = (si: number) => formatSi(si, unit, limitDecimals(si, unit));

  const keep = () => {
    if (!parsed.ok) {
      setTrouble(t(`keypad.${parsed.problem}`));
      return;
    }
    const impossible = findImpossible(reading, parsed.si, specification);
    if (impossible) {
      setTrouble(impossibleWords(impossible, exact, t));
      return;
    }
    if (reading.kind === 'distance' && last && parsed.si < last.value - UNITS[unit].scale) {
      setTrouble(t('keypad.odometerBack', { limit: exact(last.value) }));
      return;
    }
    const confirms =
      leapt !== undefined && Math.abs(parsed.si - leapt) <= 2 * toSi(...reading.uncertainty);
    if (last && isLeap(reading, parsed.si, last.value) && !confirms) {
      setLeapt(parsed.si);
      setTyped('');
      setTrouble(t('keypad.leap', { now: exact(parsed.si), last: formatSi(last.value, unit) }));
      return;
    }
    props.onKeep({ value: parsed.si, unit, typed: parsed.typed });
  };
  const judged =
    parsed.ok && !findImpossible(reading, parsed.si, specification)
      ? judgeReading({ reading, values: [parsed.si], specification, combinationAir })
      : undefined;

  return (
    <Sheet
      title={reading.ask}
      closeTitle={t('close')}
      onClose={props.onClose}
      foot={<Button look="main" className="min-h-[64px]" title={t('keypad.keep')} onPress={keep} />}
    >
      <RangeWords least={range.least} most={range.most} exact={exact} />
      <StopWords instance={instance} combinationAir={combinationAir} exact={exact} sound={range} />
      <View className="flex-row items-end justify-between border-b-2 border-ink pb-1">
        <Figure className="text-5xl">{typed || '–'}</Figure>
        <Figure className="text-2xl">{unit === '32nds' ? '/32 in' : unit}</Figure>
      </View>
      {/* What it comes to is told while one types, before it is kept. */}
      {judged && judged.outcome !== 'no-limit' && judged.limit ? (
        <Body live className="font-thick" testID="typed-verdict">
          {t(`keypad.typed.${judged.outcome}`)}
        </Body>
      ) : null}
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : props.first !== undefined ? (
        <Body className="font-thick">{t('keypad.again')}</Body>
      ) : null}
      {range.least || range.most ? (
        <Gauge
          label={t('keypad.gauge')}
          unit={unit}
          least={range.least?.value}
          most={range.most?.value}
          value={parsed.ok ? parsed.si : undefined}
          last={last?.value}
        />
      ) : null}
      {last ? (
        <Soft>
          {t('walk.last', { value: formatSi(last.value, unit), when: formatWhen(last.at) })}
        </Soft>
      ) : null}
      <Keypad
        value={typed}
        eraseLabel={t('keypad.erase')}
        onChange={(value) => {
          setTyped(value);
          setTrouble(undefined);
        }}
        onEnter={keep}
        minus={reading.kind === 'temperature'}
        point={UNITS[unit].decimals > 0}
      />
    </Sheet>
  );
}

function RangeWords({
  least,
  most,
  exact,
}: {
  readonly least?: AppliedLimit;
  readonly most?: AppliedLimit;
  readonly exact: (si: number) => string;
}) {
  const t = useWords();
  const limit = least ?? most;
  if (!limit) return <Soft>{t('keypad.noLimit')}</Soft>;
  const words =
    least && most
      ? t('keypad.between', { least: exact(least.value), most: exact(most.value) })
      : least
        ? t('keypad.least', { least: exact(least.value) })
        : t('keypad.most', { most: exact(limit.value) });
  const source = limit.from === 'specification' ? t('keypad.specification') : limit.source;
  return <Body className="font-thick">{t('keypad.by', { limit: words, source })}</Body>;
}

/** Beyond which it is out of service, with the source, where that is another limit. */
function StopWords({
  instance,
  combinationAir,
  exact,
  sound,
}: {
  readonly instance: CheckInstance;
  readonly combinationAir: boolean;
  readonly exact: (si: number) => string;
  /** Where it is the same it is not told twice. */
  readonly sound: SoundRange;
}) {
  const t = useWords();
  const { reading, symptoms } = instance.check;
  if (!reading) return null;
  const stopping = reading.bands.filter(({ symptom }) =>
    symptoms.some(({ id, harm }) => id === symptom && harm === 'stop'),
  );
  const range = soundRange({ ...reading, bands: stopping }, instance.figures, combinationAir);
  const source = (limit: AppliedLimit) =>
    limit.from === 'specification' ? t('keypad.specification') : limit.source;
  return (
    <>
      {range.least && range.least.value !== sound.least?.value ? (
        <Body>
          {t('keypad.stopBelow', { limit: exact(range.least.value), source: source(range.least) })}
        </Body>
      ) : null}
      {range.most && range.most.value !== sound.most?.value ? (
        <Body>
          {t('keypad.stopAbove', { limit: exact(range.most.value), source: source(range.most) })}
        </Body>
      ) : null}
    </>
  );
}

function impossibleWords(
  impossible: NonNullable<ReturnType<typeof findImpossible>>,
  exact: (si: number) => string,
  t: ReturnType<typeof useWords>,
): string {
  if (impossible.code === 'other-unit') return t('keypad.otherUnit');
  if (impossible.code === 'below-possible')
    return t('keypad.below', { limit: exact(impossible.least) });
  const key = impossible.code === 'above-new' ? 'keypad.aboveNew' : 'keypad.above';
  return t(key, { limit: exact(impossible.most) });
}

/** What kept readings (SI) of a check stand for; undefined where it measures nothing. */
export function judgeKept(
  instance: CheckInstance,
  values: readonly number[],
  combinationAir: boolean,
): Judgement | undefined {
  const { reading } = instance.check;
  if (!reading) return undefined;
  return judgeReading({
    reading,
    values,
    combinationAir,
    specification: instance.figures,
  });
}
