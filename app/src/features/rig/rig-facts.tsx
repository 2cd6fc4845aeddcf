import { formatSi, unitFor } from '@nazar/core/quantity';
import { findUnweighed, type Rig } from '@nazar/core/rig';
import { Body, Soft } from '@/design';
import { useWords } from '@/i18n';
import { useHabit } from '@/state';

/** Length, height, weight and what it can do. */
export function RigFacts({ rig }: { readonly rig: Rig }) {
  const t = useWords();
  const habit = useHabit();
  const length = unitFor('length', habit);
  const unweighed = findUnweighed(rig);
  // What is carried is part of what its carrier may weigh.
  const gross = rig.units
    .filter(({ hostId }) => hostId === undefined)
    .reduce((sum, { unit }) => sum + (unit.specification.massGross ?? 0), 0);
  return (
    <>
      <Body className="font-thick">
        {t('rig.measures', {
          length: formatSi(rig.length, length),
          height: formatSi(rig.height, length),
          checks: rig.instances.length,
        })}
      </Body>
      <Body>
        {t('rig.can', { list: rig.capabilities.map((each) => t(`capability.${each}`)).join(', ') })}
      </Body>
      <Soft>
        {unweighed.length === 0
          ? t('rig.gross', { mass: formatSi(gross, unitFor('mass', habit)) })
          : t('rig.grossUnknown', {
              numbers: unweighed.map(({ number }) => number).join(', '),
            })}
      </Soft>
    </>
  );
}
