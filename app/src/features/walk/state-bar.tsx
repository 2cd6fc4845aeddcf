import type { Layout, VehicleChange } from '@nazar/core/vehicle';
import {
  isRunning,
  otherwise,
  valueOf,
  type LeftOut,
  type VehicleState,
} from '@nazar/core/walking';
import { useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import { Button, Sheet, Soft } from '@/design';
import { useWords } from '@/i18n';
import { useTick } from './use-tick';

interface Cell {
  readonly id: 'engine' | 'brake' | 'chocks' | 'air' | 'hood' | 'powerTakeOff';
  readonly value:
    | 'unknown'
    | 'on'
    | 'off'
    | 'set'
    | 'released'
    | 'in'
    | 'out'
    | 'up'
    | 'building'
    | 'open'
    | 'closed';
  /** What changes it from here. */
  readonly change: VehicleChange | undefined;
}

interface StateBarProps {
  readonly state: VehicleState;
  readonly onOpen: () => void;
}

/** How the vehicle stands, as far as it was said; a touch opens what can be done to it. */
export function StateBar({ state, onOpen }: StateBarProps) {
  const t = useWords();
  const now = useTick(state.airAt < Infinity && state.airAt > 0);
  const cells = cellsOf(state, now);
  return (
    <Pressable
      role="button"
      testID="state-bar"
      aria-label={`${t('bar.title')}: ${cells.map(({ id, value }) => `${t(`bar.${id}`)} ${t(`bar.${value}`)}`).join(', ')}`}
      onPress={onOpen}
      className="min-h-touch flex-1 flex-row items-center active:opacity-70"
    >
      {cells.map(({ id, value }) => (
        <View key={id} className="min-w-0 flex-1 items-center">
          <Text numberOfLines={1} className="font-text text-xs text-soft">
            {t(`bar.${id}`)}
          </Text>
          <Text
            numberOfLines={1}
            className={`font-head text-base ${value === 'unknown' ? 'text-soft' : 'text-ink'}`}
          >
            {value === 'unknown' ? '–' : t(`bar.${value}`)}
          </Text>
        </View>
      ))}
    </Pressable>
  );
}

function cellsOf(state: VehicleState, now: number): Cell[] {
  const running = isRunning(state);
  const brake = valueOf(state, 'brake');
  const chocks = valueOf(state, 'chocks');
  const powerTakeOff = valueOf(state, 'powerTakeOff');
  const bay = valueOf(state, 'bay');
  const { airAt } = state;
  return [
    {
      id: 'engine',
      value: running === undefined ? 'unknown' : running ? 'on' : 'off',
      change: running ? 'shut-down' : 'start',
    },
    {
      id: 'brake',
      value: brake === undefined ? 'unknown' : brake === 'set' ? 'set' : 'released',
      change: brake === 'set' ? 'release-brake' : 'set-brake',
    },
    {
      id: 'chocks',
      value: chocks === undefined ? 'unknown' : chocks === 'in' ? 'in' : 'out',
      change: chocks === 'in' ? 'chocks-out' : 'chocks-in',
    },
    {
      id: 'air',
      // Whether it has come by now is what the clock says.
      value: airAt === Infinity ? 'unknown' : airAt > now ? 'building' : 'up',
      change: undefined,
    },
    {
      id: 'hood',
      value: bay === 'closed' ? 'closed' : 'open',
      change: bay === 'tilted' ? 'cab-lowered' : bay === 'open' ? 'hood-closed' : 'hood-open',
    },
    {
      id: 'powerTakeOff',
      value: powerTakeOff === undefined ? 'unknown' : powerTakeOff === 'in' ? 'on' : 'off',
      change: powerTakeOff === 'in' ? 'power-take-off-off' : 'power-take-off',
    },
  ];
}

interface StandSheetProps {
  readonly state: VehicleState;
  readonly layout: Layout;
  readonly leftOut: readonly LeftOut[];
  /** Number of a unit of the rig. */
  readonly numberOf: (unitId: string) => string;
  readonly onChange: (change: VehicleChange, unitId?: string) => void;
  /** It was found to stand so; nobody did it. */
  readonly onFound: (change: VehicleChange, unitId?: string) => void;
  readonly onClose: () => void;
}

/** Everything that can be done to the vehicle from here, touched as it is done; and how it may stand otherwise than it was taken to. */
export function StandSheet(props: StandSheetProps) {
  const { state, layout, leftOut, numberOf, onChange, onFound, onClose } = props;
  const t = useWords();
  const [denies, setDenies] = useState(false);
  const nameOf = (what: string, unitId?: string) =>
    unitId === undefined ? what : t('bar.ofUnit', { what, number: numberOf(unitId) });
  if (denies)
    return (
      // A sheet of its own: it begins at its top, wherever the other was scrolled to.
      <Sheet key="otherwise" title={t('bar.otherwise')} closeTitle={t('close')} onClose={onClose}>
        <Soft>{t('bar.otherwiseWhy')}</Soft>
        {otherwise(state, layout).map(({ change, unitId }) => (
          <Button
            key={`${change} ${unitId ?? ''}`}
            start
            title={nameOf(t(`changeFound.${change}`), unitId)}
            onPress={() => onFound(change, unitId)}
          />
        ))}
      </Sheet>
    );
  const key = valueOf(state, 'key');
  const simple: readonly VehicleChange[] = [
    ...cellsOf(state, 0).flatMap(({ change }) => change ?? []),
    // Where nobody has said it, both may be true.
    ...(isRunning(state) === undefined ? (['shut-down'] as const) : []),
    ...(valueOf(state, 'brake') === undefined ? (['release-brake'] as const) : []),
    ...(valueOf(state, 'chocks') === undefined ? (['chocks-out'] as const) : []),
    key === 'on' ? 'key-off' : 'key-on',
    valueOf(state, 'lamps') === 'on' ? 'lamps-off' : 'lamps-on',
  ];
  const known = new Set(simple);
  return (
    <Sheet key="done" title={t('bar.title')} closeTitle={t('close')} onClose={onClose}>
      <Button
        testID="otherwise"
        look="main"
        title={t('bar.otherwise')}
        onPress={() => setDenies(true)}
      />
      <Soft>{t('bar.explain')}</Soft>
      {[...known].map((change) => (
        <Button key={change} start title={t(`change.${change}`)} onPress={() => onChange(change)} />
      ))}
      {leftOut
        .filter(({ change }) => !known.has(change))
        .map(({ change, unitId }) => (
          <Button
            key={`${change} ${unitId ?? ''}`}
            start
            title={nameOf(t(`change.${change}`), unitId)}
            onPress={() => onChange(change, unitId)}
          />
        ))}
    </Sheet>
  );
}
