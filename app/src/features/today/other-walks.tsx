import type { Reference } from '@nazar/core/wire';
import { PHASES, type Phase } from '@nazar/core/catalogue';
import { findModuleOfUnit } from '@nazar/core/rig';
import { useState } from 'react';
import { Button, Sheet } from '@/design';
import { useWords } from '@/i18n';
import { useCatalogueOf } from '@/state';

interface OtherWalksProps {
  readonly rig: Reference['rigs'][number];
  readonly reference: Reference;
  readonly onBegin: (phase: Phase) => void;
}

const OTHERS = PHASES.filter((phase) => phase !== 'pre-trip' && phase !== 'post-trip');

/** On the way, by the calendar, at the seasonal change, before a use: those that ask something of this rig. */
export function OtherWalks({ rig, reference, onBegin }: OtherWalksProps) {
  const t = useWords();
  const [open, setOpen] = useState(false);
  const units = rig.unitIds.flatMap((id) => reference.units.find((unit) => unit.id === id) ?? []);
  const catalogue = useCatalogueOf(units);
  const checks = units.flatMap(
    (unit) => (catalogue && findModuleOfUnit(unit, catalogue)?.checks) ?? [],
  );
  return (
    <>
      <Button title={t('otherWalks.open')} onPress={() => setOpen(true)} />
      {open ? (
        <Sheet title={t('otherWalks.title')} closeTitle={t('close')} onClose={() => setOpen(false)}>
          {OTHERS.map((phase) => {
            const some = checks.some(({ phases }) => phases.includes(phase));
            return (
              <Button
                key={phase}
                start
                title={t(`phase.${phase}`)}
                note={some ? undefined : t('otherWalks.none')}
                disabled={!some}
                onPress={() => {
                  setOpen(false);
                  onBegin(phase);
                }}
              />
            );
          })}
        </Sheet>
      ) : null}
    </>
  );
}
