import { leftStanding, type VehicleState } from '@nazar/core/walking';
import type { VehicleChange } from '@nazar/core/planning';
import { Pressable, Text, View } from 'react-native';
import { Button, Sheet, Soft } from '@/design';
import { useWords } from '@/i18n';
import { useTick } from './use-tick';

interface Cell {
  readonly id: 'engine' | 'brake' | 'chocks' | 'air' | 'hood' | 'powerTakeOff';
  readonly value: string;
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
  const { engine, brake, chocks, powerTakeOff, hood, airAt } = state;
  return [
    {
      id: 'engine',
      value: engine ?? 'unknown',
      change: engine === 'on' ? 'shut-down' : 'start',
    },
    {
      id: 'brake',
      value: brake ?? 'unknown',
      change: brake === 'set' ? 'release-brake' : 'set-brake',
    },
    {
      id: 'chocks',
      value: chocks === undefined ? 'unknown' : chocks ? 'in' : 'out',
      change: chocks ? 'chocks-out' : 'chocks-in',
    },
    {
      id: 'air',
      // Whether it has come by now is what the clock says.
      value: airAt === Infinity ? 'unknown' : airAt > now ? 'building' : 'up',
      change: undefined,
    },
    {
      id: 'hood',
      value: hood ? 'open' : 'closed',
      change: hood ? 'hood-closed' : 'hood-open',
    },
    {
      id: 'powerTakeOff',
      value: powerTakeOff ? 'on' : 'off',
      change: powerTakeOff ? 'power-take-off-off' : 'power-take-off',
    },
  ];
}

interface StandSheetProps {
  readonly state: VehicleState;
  readonly onChange: (change: VehicleChange) => void;
  readonly onClose: () => void;
}

/** Everything that can be done to the vehicle from here; it is touched as it is done. */
export function StandSheet({ state, onChange, onClose }: StandSheetProps) {
  const t = useWords();
  const others: readonly VehicleChange[] = [
    state.key ? 'key-off' : 'key-on',
    state.lamps ? 'lamps-off' : 'lamps-on',
    ...leftStanding(state),
  ];
  // Where nobody has said it, both may be true.
  const unsaid: readonly VehicleChange[] = [
    ...(state.engine === undefined ? (['shut-down'] as const) : []),
    ...(state.brake === undefined ? (['release-brake'] as const) : []),
    ...(state.chocks === undefined ? (['chocks-out'] as const) : []),
  ];
  const changes = new Set<VehicleChange>([
    ...cellsOf(state, 0).flatMap(({ change }) => change ?? []),
    ...unsaid,
    ...others,
  ]);
  return (
    <Sheet title={t('bar.title')} closeTitle={t('close')} onClose={onClose}>
      <Soft>{t('bar.explain')}</Soft>
      {[...changes].map((change) => (
        <Button key={change} start title={t(`change.${change}`)} onPress={() => onChange(change)} />
      ))}
    </Sheet>
  );
}
