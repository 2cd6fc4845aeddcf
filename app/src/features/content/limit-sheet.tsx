import type { Check, Module } from '@nazar/core/catalogue';
import type { Scope, StricterLimit } from '@nazar/core/depot-content';
import { unitOf } from '@nazar/core/measure';
import { parseTyped } from '@nazar/core/quantity';
import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Field, Heading, Sheet } from '@/design';
import { useWords } from '@/i18n';
import { useHabit } from '@/state';
import { CheckPicker } from './check-picker';
import { modulesOf, unitsWith } from './listed';
import type { RuleSheetProps } from './off-sheet';
import { ScopeChoice } from './scope-choice';

/** A limit of the house beside that of the law; the stricter counts. */
export function LimitSheet({ units, content, shipped, refused, onKeep, onClose }: RuleSheetProps) {
  const t = useWords();
  const habit = useHabit();
  const [chosen, setChosen] = useState<{ readonly check: Check; readonly module: Module }>();
  const [side, setSide] = useState<StricterLimit['side']>('below');
  const [typed, setTyped] = useState('');
  const [scope, setScope] = useState<Scope>({});
  const [reason, setReason] = useState('');
  const [trouble, setTrouble] = useState<string>();
  const reading = chosen?.check.reading;
  const unit = reading && unitOf(reading, habit);
  const choose = (check: Check, module: Module) => {
    setChosen({ check, module });
    setSide(check.reading?.bands[0]?.side ?? 'below');
  };
  const keep = async () => {
    if (!chosen || !unit) return;
    const parsed = parseTyped(typed, unit);
    if (!parsed.ok) {
      setTrouble(t('content.needNumber', { unit }));
      return;
    }
    setTrouble(undefined);
    const words = reason.trim();
    const limit: StricterLimit = {
      check: chosen.check.id,
      side,
      value: Number(typed.trim().replace(',', '.')),
      unit,
      reason: words,
      scope,
    };
    if (await onKeep({ ...content, stricter: [...content.stricter, limit] }, words)) onClose();
  };
  return (
    <Sheet
      title={t('content.tighten')}
      closeTitle={t('close')}
      onClose={onClose}
      foot={
        chosen ? (
          <Button
            look="main"
            className="min-h-[64px]"
            title={t('content.tightenNow')}
            disabled={reason.trim().length < 3 || typed.trim() === ''}
            onPress={() => void keep()}
          />
        ) : undefined
      }
    >
      {refused}
      {chosen && reading && unit ? (
        <>
          <Heading level={3}>{chosen.check.title}</Heading>
          <Body>{chosen.check.criterion}</Body>
          <View className="flex-row gap-2" role="group" aria-label={t('content.side')}>
            {[...new Set(reading.bands.map((band) => band.side))].map((each) => (
              <Button
                key={each}
                className="flex-1"
                title={t(`content.sides.${each}`)}
                selected={side === each}
                onPress={() => setSide(each)}
              />
            ))}
          </View>
          <Field
            label={t('content.limit', { unit })}
            value={typed}
            onChange={setTyped}
            trouble={trouble}
            maxLength={12}
            inputMode="decimal"
          />
          <ScopeChoice
            units={unitsWith(units, chosen.module.id)}
            scope={scope}
            onChange={setScope}
          />
          <Field label={t('content.why')} value={reason} onChange={setReason} maxLength={300} />
        </>
      ) : (
        <CheckPicker
          modules={modulesOf(units, content, shipped).map((module) => ({
            ...module,
            checks: module.checks.filter((check) => (check.reading?.bands.length ?? 0) > 0),
          }))}
          objectionTo={() => undefined}
          onChoose={choose}
        />
      )}
    </Sheet>
  );
}
