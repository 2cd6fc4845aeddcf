import { say } from '@nazar/core/words';
import type { Unit } from '@nazar/core/rig';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Card, Columns, Field, Heading, Screen, Soft } from '@/design';
import { Opening, RigDrawing, RigSide } from '@/drawing';
import { useWords } from '@/i18n';
import {
  ApiProblem,
  keepRig,
  OFFLINE,
  useCatalogueOf,
  useHabit,
  useReference,
  useSession,
} from '@/state';
import { join, listCandidates, type Group } from './candidates';
import { RigFacts } from './rig-facts';

export interface RigBuilderScreenProps {
  readonly onWalk: (unitIds: readonly string[]) => void;
  readonly onKept: (rigId: string) => void;
  readonly onBack: () => void;
}

const FIRST: readonly Group[] = ['drives', 'towed', 'mounted'];
/** One drives; then it is the others' turn. */
const THEN: readonly Group[] = ['towed', 'mounted', 'drives'];

/** What really stands in the yard, joined front to rear: drawn to scale, with what does not fit and why. */
export function RigBuilderScreen({ onWalk, onKept, onBack }: RigBuilderScreenProps) {
  const t = useWords();
  const habit = useHabit();
  const personId = useSession((state) => state.person?.id);
  const { reference, refresh } = useReference();
  const [ids, setIds] = useState<readonly string[]>([]);
  const [title, setTitle] = useState('');
  const [trouble, setTrouble] = useState<string>();
  const units = useMemo(() => reference?.units ?? [], [reference]);
  const chosen = ids.flatMap((id) => units.find((unit) => unit.id === id) ?? []);
  const catalogue = useCatalogueOf(units);
  const joined = catalogue && chosen.length > 0 ? join(chosen, habit, catalogue) : undefined;
  const rig = joined && 'rig' in joined ? joined.rig : undefined;
  const misfits = joined && 'misfits' in joined ? joined.misfits : [];
  const fits = rig !== undefined && misfits.length === 0;
  const outings = reference?.outings ?? [];
  const outWith = (unitId: string) => {
    const out = outings.find((outing) => outing.unitIds.includes(unitId));
    return out && t('rig.out', { name: out.by });
  };
  const candidates = catalogue ? listCandidates(units, chosen, habit, catalogue, outWith) : [];
  const usual = chosen.map(({ number }) => number).join(' + ');

  const move = (index: number, by: number) => {
    const next = [...ids];
    const [id] = next.splice(index, 1);
    next.splice(index + by, 0, id);
    setIds(next);
  };
  const keep = async () => {
    try {
      const id = await keepRig(title.trim() || usual, ids);
      if (personId) await refresh(personId);
      onKept(id);
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setTrouble(error.code === OFFLINE ? t('rig.keepOffline') : error.detail);
    }
  };

  return (
    <Screen
      title={t('rig.title')}
      below={reference?.depot.name}
      width="columns"
      actions={<Button look="quiet" title={t('back')} onPress={onBack} />}
      foot={
        <Button
          look="main"
          className="min-h-[64px]"
          title={t('rig.walk')}
          disabled={!fits}
          onPress={() => onWalk(ids)}
        />
      }
    >
      <Columns
        left={
          <Card>
            {rig ? (
              <>
                <RigDrawing rig={rig} label={t('rig.plan', { rig: usual })} />
                <RigSide rig={rig} label={t('rig.side', { rig: usual })} />
                <RigFacts rig={rig} />
              </>
            ) : (
              <>{catalogue ? <Body>{t('rig.begin')}</Body> : <Opening />}</>
            )}
            {joined && 'reason' in joined ? (
              <Body role="alert" className="font-thick text-vermilion">
                {joined.reason}
              </Body>
            ) : null}
            {misfits
              .map(({ says }) => say(says, habit))
              .map((words) => (
                <Body key={words} role="alert" className="font-thick text-vermilion">
                  {words}
                </Body>
              ))}
            {chosen.map((unit, index) => (
              <ChosenUnit
                key={unit.id}
                unit={unit}
                onUp={index > 0 ? () => move(index, -1) : undefined}
                onDown={index < chosen.length - 1 ? () => move(index, 1) : undefined}
                onRemove={() => setIds(ids.filter((id) => id !== unit.id))}
              />
            ))}
            {fits ? (
              <>
                <Field
                  label={t('rig.name')}
                  value={title}
                  onChange={setTitle}
                  maxLength={80}
                  hint={t('rig.nameHint', { title: usual })}
                />
                <Button title={t('rig.keep')} onPress={() => void keep()} />
              </>
            ) : null}
            {trouble ? (
              <Body role="alert" className="font-thick text-vermilion">
                {trouble}
              </Body>
            ) : null}
          </Card>
        }
        right={(chosen.length > 0 ? THEN : FIRST).map((group) => {
          const ofGroup = candidates.filter((each) => each.group === group);
          if (ofGroup.length === 0) return null;
          return (
            <Card key={group}>
              <Heading level={2}>{t(`rig.group.${group}`)}</Heading>
              {ofGroup.map(({ unit, reason }) => (
                <Button
                  key={unit.id}
                  start
                  title={`${unit.number} · ${unit.title}`}
                  note={reason}
                  disabled={reason !== undefined}
                  onPress={() => setIds([...ids, unit.id])}
                />
              ))}
            </Card>
          );
        })}
      />
      <Soft>{t('guide')}</Soft>
    </Screen>
  );
}

function ChosenUnit({
  unit,
  onUp,
  onDown,
  onRemove,
}: {
  readonly unit: Unit;
  readonly onUp: (() => void) | undefined;
  readonly onDown: (() => void) | undefined;
  readonly onRemove: () => void;
}) {
  const t = useWords();
  return (
    <View className="flex-row items-center gap-2">
      <Body className="min-w-0 flex-1 font-thick">
        {unit.number} · {unit.title}
      </Body>
      <Button
        title="↑"
        label={t('rig.up', { number: unit.number })}
        disabled={!onUp}
        onPress={() => onUp?.()}
      />
      <Button
        title="↓"
        label={t('rig.down', { number: unit.number })}
        disabled={!onDown}
        onPress={() => onDown?.()}
      />
      <Button
        look="quiet"
        title={t('rig.remove')}
        label={t('rig.removeOf', { number: unit.number })}
        onPress={onRemove}
      />
    </View>
  );
}
