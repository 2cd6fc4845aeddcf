import { formatSi, unitFor } from '@nazar/core/quantity';
import type { Rig } from '@nazar/core/rig';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Button, Soft } from '@/design';
import { RigDrawing } from '@/drawing';
import { useWords } from '@/i18n';
import { useHabit } from '@/state';

interface WherePickerProps {
  readonly rig: Rig;
  readonly unitId: string;
  /** Metres in the frame of the unit. */
  readonly spot: { readonly x: number; readonly y: number } | undefined;
  readonly onChange: (spot: { x: number; y: number }) => void;
}

const STEP = 0.25;

/** The unit alone, large; a touch marks the place. The arrows move it without aiming. */
export function WherePicker({ rig, unitId, spot, onChange }: WherePickerProps) {
  const t = useWords();
  const habit = useHabit();
  const alone = useMemo((): Rig | undefined => {
    const placed = rig.units.find(({ unit }) => unit.id === unitId);
    if (!placed) return undefined;
    const { length, width, height } = placed.module;
    return { ...rig, units: [{ ...placed, offset: 0, aside: 0 }], length, width, height };
  }, [rig, unitId]);
  if (!alone) return null;
  const clamp = (x: number, y: number) => ({
    x: round(Math.min(Math.max(x, 0), alone.length)),
    y: round(Math.min(Math.max(y, -alone.width / 2), alone.width / 2)),
  });
  const move = (x: number, y: number) => {
    const from = spot ?? { x: alone.length / 2, y: 0 };
    onChange(clamp(from.x + x, from.y + y));
  };
  const side = !spot || Math.abs(spot.y) < 0.3 ? 'middle' : spot.y < 0 ? 'left' : 'right';
  return (
    <View className="gap-2">
      <RigDrawing
        rig={alone}
        label={t('fault.whereDrawing')}
        spot={spot}
        onTouch={(x, y) => onChange(clamp(x, y))}
      />
      {spot ? (
        <Soft aria-live="polite">
          {t('fault.wherePlace', {
            place: alone.units[0].unit.number,
            x: formatSi(spot.x, unitFor('length', habit), 1),
            side: t(`fault.${side}`),
          })}
        </Soft>
      ) : null}
      <View className="flex-row justify-center gap-2">
        <Button
          title="←"
          label={t('fault.move.front')}
          className="flex-1"
          onPress={() => move(-STEP, 0)}
        />
        <Button
          title="↑"
          label={t('fault.move.left')}
          className="flex-1"
          onPress={() => move(0, -STEP)}
        />
        <Button
          title="↓"
          label={t('fault.move.right')}
          className="flex-1"
          onPress={() => move(0, STEP)}
        />
        <Button
          title="→"
          label={t('fault.move.rear')}
          className="flex-1"
          onPress={() => move(STEP, 0)}
        />
      </View>
    </View>
  );
}

function round(metres: number): number {
  return Math.round(metres * 100) / 100;
}
