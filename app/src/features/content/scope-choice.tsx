import type { Scope } from '@nazar/core/depot-content';
import type { Unit } from '@nazar/core/rig';
import { Toggles } from '@/design';
import { useWords } from '@/i18n';

interface ScopeChoiceProps {
  /** Units that the rule could hold for. */
  readonly units: readonly Unit[];
  readonly scope: Scope;
  readonly onChange: (scope: Scope) => void;
}

const ALL = 'all';

/** For every unit of the depot that has it, or for one of them. */
export function ScopeChoice({ units, scope, onChange }: ScopeChoiceProps) {
  const t = useWords();
  const chosen = scope.unitId ?? ALL;
  return (
    <Toggles
      label={t('content.holdsFor')}
      options={[
        { id: ALL, title: t('content.everyUnit') },
        ...units.map(({ id, number }) => ({ id, title: number })),
      ]}
      chosen={[chosen]}
      onChange={(list) => {
        const next = list.find((each) => each !== chosen);
        onChange(next === undefined || next === ALL ? {} : { unitId: next });
      }}
    />
  );
}
