import { formatSi } from '@nazar/core/quantity';
import { findModuleOfUnit } from '@nazar/core/rig';
import { loadRecheck } from '@nazar/core/trend';
import { Body, Button, Card, Heading, Soft, useNow } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { catalogueOf, useHabit, type Reference } from '@/state';

interface LoadRecheckProps {
  readonly rig: Reference['rigs'][number];
  readonly reference: Reference;
  readonly onBegin: () => void;
}

/** While the rig is out: when load and wheels are looked at again, by the clock and by the way. */
export function LoadRecheck({ rig, reference, onBegin }: LoadRecheckProps) {
  const t = useWords();
  const now = useNow();
  const habit = useHabit();
  const outing = reference.outings.find(
    ({ unitIds, purpose }) => purpose === 'job' && unitIds.some((id) => rig.unitIds.includes(id)),
  );
  const asks = reference.units
    .filter(({ id }) => rig.unitIds.includes(id))
    .some((unit) =>
      findModuleOfUnit(unit, catalogueOf(reference))?.checks.some(({ phases }) =>
        phases.includes('under-way'),
      ),
    );
  if (!outing || !asks) return null;
  const looks = reference.lastReports
    .filter(({ unitId, phase }) => phase === 'under-way' && rig.unitIds.includes(unitId))
    .map(({ signedAt }) => Date.parse(signedAt));
  const due = loadRecheck({
    outAt: Date.parse(outing.outAt),
    lastAt: looks.length > 0 ? Math.max(...looks) : undefined,
    now,
  });
  return (
    <Card marked={due.isLate}>
      <Heading level={2}>{t('recheck.title')}</Heading>
      <Body live className="font-thick">
        {t(due.isLate ? 'recheck.late' : 'recheck.due', {
          when: formatWhen(new Date(due.dueAt).toISOString()),
          distance: formatSi(due.withinMetres, habit === 'metric' ? 'km' : 'mi'),
        })}
      </Body>
      <Soft>{t('recheck.also')}</Soft>
      <Button title={t('recheck.now')} onPress={onBegin} />
    </Card>
  );
}
