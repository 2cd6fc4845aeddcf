import { formatSi, unitFor } from '@nazar/core/quantity';
import type { Rig } from '@nazar/core/rig';
import { Body, Soft } from '@/design';
import { useWords } from '@/i18n';
import { useHabit } from '@/state';

/** Length, height, weight and what it can do. */
export function RigFacts({ rig }: { readonly rig: Rig }) {
  const t = useWords();
  const habit = useHabit();
  const length = unitFor('length', habit);
  const masses = rig.units.map(({ unit }) => unit.specification.massGross);
  const known = masses.every((mass) => mass !== undefined);
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
        {known
          ? t('rig.gross', {
              mass: formatSi(
                masses.reduce<number>((sum, mass) => sum + (mass ?? 0), 0),
                unitFor('mass', habit),
              ),
            })
          : t('rig.grossUnknown')}
      </Soft>
    </>
  );
}
