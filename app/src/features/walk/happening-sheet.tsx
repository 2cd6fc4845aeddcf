import type { Circumstance } from '@nazar/core/catalogue';
import { droppedUnits } from '@nazar/core/inspection';
import { useState } from 'react';
import { Body, Button, Field, Heading, Sheet, Soft } from '@/design';
import { useWords } from '@/i18n';
import { usePreferences } from '@/state';
import { type Walk } from '@/state/walk';

interface HappeningSheetProps {
  readonly walk: Walk;
  readonly lamps: number;
  readonly onTurned: (circumstance: Circumstance) => void;
  readonly onDropped: (unitId: string, reason: string) => void;
  readonly onSkip: () => void;
  readonly onHelper: () => void;
  readonly onLamps: () => void;
  readonly onClose: () => void;
}

const TURNS: readonly Circumstance[] = ['wet', 'dark', 'freezing'];

/** What comes up on a walk: weather, a helper, a stop for later, a unit that stays behind. */
export function HappeningSheet(props: HappeningSheetProps) {
  const { walk, lamps, onTurned, onDropped, onSkip, onHelper, onLamps, onClose } = props;
  const t = useWords();
  const { gloves, setGloves } = usePreferences();
  const [dropping, setDropping] = useState<string>();
  const [reason, setReason] = useState('');
  const { inspection, rig } = walk;
  const now = new Set(inspection.begun?.circumstances);
  const gone = droppedUnits(rig, inspection.course);
  const droppable = rig.units.slice(1).filter(({ unit }) => !gone.has(unit.id));
  const unit = droppable.find((each) => each.unit.id === dropping)?.unit;
  if (unit)
    return (
      <Sheet
        title={t('happening.drop', { number: unit.number })}
        closeTitle={t('close')}
        onClose={onClose}
        foot={
          <Button
            look="grave"
            title={t('happening.dropGo')}
            disabled={reason.trim().length < 3}
            onPress={() => onDropped(unit.id, reason.trim())}
          />
        }
      >
        <Body>{t('happening.dropWhy')}</Body>
        <Field
          label={t('happening.dropReason')}
          value={reason}
          onChange={setReason}
          maxLength={300}
        />
      </Sheet>
    );
  return (
    <Sheet title={t('happening.title')} closeTitle={t('close')} onClose={onClose}>
      <Button start title={t('happening.later')} onPress={onSkip} />
      <Button start title={t('helping.title')} onPress={onHelper} />
      {lamps > 0 ? (
        <Button start title={t('lampWalk.open', { count: lamps })} onPress={onLamps} />
      ) : null}
      {TURNS.filter((each) => !now.has(each)).map((each) => (
        <Button key={each} start title={t(`happening.${each}`)} onPress={() => onTurned(each)} />
      ))}
      {droppable.map((each) => (
        <Button
          key={each.unit.id}
          start
          title={t('happening.drop', { number: `${each.unit.number} ${each.unit.title}` })}
          onPress={() => setDropping(each.unit.id)}
        />
      ))}
      <Heading level={3}>{t('glove.title')}</Heading>
      <Button
        selected={gloves}
        title={t(gloves ? 'glove.on' : 'glove.off')}
        onPress={() => setGloves(!gloves)}
      />
      <Soft>{t('glove.why')}</Soft>
    </Sheet>
  );
}
