import type { Reference } from '@nazar/core/wire';
import { formatSi, type UnitName } from '@nazar/core/quantity';
import { findModuleOfUnit } from '@nazar/core/rig';
import { gaugesToWatch, loadRecheck } from '@nazar/core/trend';
import { View } from 'react-native';
import { Body, Button, Heading, Soft, useNow } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { useCatalogueOf, useHabit } from '@/state';

interface LoadRecheckProps {
  readonly rig: Reference['rigs'][number];
  readonly reference: Reference;
  readonly onBegin: () => void;
  /** A fault that shows on the road. */
  readonly onRoad: (inspectionId: string) => void;
}

/** While the rig is out: when load and wheels are looked at again, which gauges are watched, and where a fault is told. */
export function LoadRecheck({ rig, reference, onBegin, onRoad }: LoadRecheckProps) {
  const t = useWords();
  const now = useNow();
  const habit = useHabit();
  const outing = reference.outings.find(
    ({ unitIds, purpose }) => purpose === 'job' && unitIds.some((id) => rig.unitIds.includes(id)),
  );
  const units = reference.units.filter(({ id }) => rig.unitIds.includes(id));
  const catalogue = useCatalogueOf(units);
  const asks = units.some(
    (unit) =>
      catalogue &&
      findModuleOfUnit(unit, catalogue)?.checks.some(({ phases }) => phases.includes('under-way')),
  );
  const first = reference.units.find(({ id }) => id === rig.unitIds[0]);
  if (!outing) return null;
  const gauges = first && catalogue ? gaugesToWatch(first, catalogue) : [];
  const looks = reference.lastReports
    .filter(({ unitId, phase }) => phase === 'under-way' && rig.unitIds.includes(unitId))
    .map(({ signedAt }) => Date.parse(signedAt));
  const due = loadRecheck({
    outAt: Date.parse(outing.outAt),
    lastAt: looks.length > 0 ? Math.max(...looks) : undefined,
    now,
  });
  const value = (si: number, unit: UnitName) =>
    formatSi(si, unit === 'psi' && habit === 'metric' ? 'kPa' : unit, unit === 'V' ? 1 : 0);
  return (
    <View
      className={`gap-2 rounded-xl p-3 ${due.isLate ? 'border-4 border-chalk' : 'border border-line'}`}
    >
      <Heading level={3}>{t('road.title')}</Heading>
      {asks ? (
        <>
          <Body live className="font-thick">
            {t(due.isLate ? 'recheck.late' : 'recheck.due', {
              when: formatWhen(new Date(due.dueAt).toISOString()),
              distance: formatSi(due.withinMetres, habit === 'metric' ? 'km' : 'mi'),
            })}
          </Body>
          <Soft>{t('recheck.also')}</Soft>
          <Button title={t('recheck.now')} onPress={onBegin} />
        </>
      ) : null}
      {gauges.length > 0 ? (
        <Body>
          {t('road.gauges', {
            gauges: gauges
              .map(({ id, low, high, stopBelow, unit }) =>
                [
                  t(`road.gauge.${id}`),
                  unit && low !== undefined && high !== undefined
                    ? `${value(low, unit)}–${value(high, unit)}`
                    : '',
                  unit && stopBelow !== undefined
                    ? t('road.stopBelow', { value: value(stopBelow, unit) })
                    : '',
                ]
                  .filter(Boolean)
                  .join(' '),
              )
              .join(', '),
          })}
        </Body>
      ) : null}
      <Button title={t('road.found')} onPress={() => onRoad(outing.inspectionId)} />
    </View>
  );
}
