import type { HouseRules } from '@nazar/core/wire';
import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Card, Field, Heading, Soft, Toggles } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { hold, liftHold, useReference } from '@/state';

interface RetentionCardProps {
  readonly rules: HouseRules;
  readonly mayChange: boolean;
  readonly act: (work: () => Promise<unknown>) => Promise<boolean>;
}

/** How long records are kept, and what is held back from being removed. */
export function RetentionCard({ rules, mayChange, act }: RetentionCardProps) {
  const t = useWords();
  const units = useReference((state) => state.reference?.units) ?? [];
  const [unitId, setUnitId] = useState<string>();
  const [words, setWords] = useState('');
  const { retention, holds } = rules;
  const numberOf = (id: string) => units.find((unit) => unit.id === id)?.number ?? '';
  const put = async () => {
    if (unitId && (await act(() => hold(unitId, words.trim())))) {
      setWords('');
      setUnitId(undefined);
    }
  };
  return (
    <Card>
      <Heading level={2}>{t('rules.retention')}</Heading>
      <Body>
        {t('rules.kept', {
          kept: retention.kept,
          soon: retention.soon,
          removed: retention.removed,
        })}
      </Body>
      {retention.next ? <Soft>{t('rules.next', { when: formatWhen(retention.next) })}</Soft> : null}
      {[...rules.policies, ...rules.own].map(({ id, title, keepDays }) => (
        <Soft key={id}>
          {title}. {t('compare.kept', { days: keepDays })}
        </Soft>
      ))}
      <Soft>{t('rules.spared')}</Soft>
      <Heading level={3}>{t('rules.holds')}</Heading>
      {holds.length === 0 ? <Body>{t('rules.noHolds')}</Body> : null}
      {holds.map((each) => (
        <View key={each.id} className="flex-row items-center justify-between gap-2">
          <View className="min-w-0 shrink">
            <Body className="font-thick">
              {numberOf(each.unitId)} · {each.words}
            </Body>
            <Soft>
              {formatWhen(each.at)} · {each.by}
            </Soft>
          </View>
          {mayChange ? (
            <Button
              look="quiet"
              title={t('rules.liftHold')}
              label={`${t('rules.liftHold')}: ${each.words}`}
              onPress={() => void act(() => liftHold(each.id))}
            />
          ) : null}
        </View>
      ))}
      {mayChange ? (
        <>
          <Toggles
            label={t('rules.holdUnit')}
            options={units.map(({ id, number }) => ({ id, title: number }))}
            chosen={unitId ? [unitId] : []}
            onChange={(list) => setUnitId(list.find((each) => each !== unitId))}
          />
          <Field label={t('rules.holdWords')} value={words} onChange={setWords} maxLength={300} />
          <Button
            title={t('rules.hold')}
            disabled={!unitId || words.trim().length < 3}
            onPress={() => void put()}
          />
        </>
      ) : null}
    </Card>
  );
}
