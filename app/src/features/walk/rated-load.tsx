import { isWhole, ratedLoad } from '@nazar/core/card';
import { formatSi, parseTyped, unitFor, type UnitHabit } from '@nazar/core/quantity';
import type { PlacedUnit } from '@nazar/core/rig';
import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Field, Figure, Soft } from '@/design';
import { useWords } from '@/i18n';

interface RatedLoadProps {
  /** The unit that lifts. */
  readonly placed: Pick<PlacedUnit, 'unit' | 'module'>;
  readonly habit: UnitHabit;
}

/** What the chart of this very machine allows at a radius; an aid beside the chart in the cab, never in its place. */
export function RatedLoad({ placed: { unit, module }, habit }: RatedLoadProps) {
  const t = useWords();
  // A chart with a hole is none.
  const whole = (unit.card?.charts ?? []).filter((each) => isWhole({ charts: [each] }, module));
  const [chosen, setChosen] = useState(whole[0]?.id);
  const [radius, setRadius] = useState('');
  const [boom, setBoom] = useState('');
  const chart = whole.find(({ id }) => id === chosen);
  const length = unitFor('length', habit);
  if (!chart) return <Soft>{t('ratedLoad.none')}</Soft>;
  const [r, l] = [parseTyped(radius, length), parseTyped(boom, length)];
  const rated = r.ok && l.ok ? ratedLoad(chart, r.si, l.si) : undefined;
  const trouble = (typed: string, ok: boolean) =>
    typed !== '' && !ok ? t('ratedLoad.noNumber') : undefined;
  return (
    <View className="gap-2">
      {whole.map(({ id, title }) => (
        <Button
          key={id}
          start
          title={title}
          selected={id === chosen}
          onPress={() => setChosen(id)}
        />
      ))}
      <Field
        label={t('ratedLoad.radius', { unit: length })}
        value={radius}
        onChange={setRadius}
        inputMode="decimal"
        maxLength={8}
        trouble={trouble(radius, r.ok)}
      />
      <Field
        label={t('ratedLoad.boom', { unit: length })}
        value={boom}
        onChange={setBoom}
        inputMode="decimal"
        maxLength={8}
        trouble={trouble(boom, l.ok)}
      />
      <View aria-live="polite">
        {rated && 'load' in rated ? (
          <>
            <Figure>{formatSi(rated.load, unitFor('mass', habit))}</Figure>
            <Soft>
              {t('ratedLoad.line', {
                radius: formatSi(rated.radius, length),
                boom: formatSi(rated.length, length),
              })}
            </Soft>
          </>
        ) : null}
        {rated && 'outside' in rated ? (
          <Body className="font-thick text-vermilion">
            {t(`ratedLoad.outside.${rated.outside}`)}
          </Body>
        ) : null}
      </View>
      <Soft>{t('ratedLoad.guide')}</Soft>
    </View>
  );
}
