import type { Catalogue, Check, Module } from '@nazar/core/catalogue';
import { protectionOf, type DepotContent, type Scope } from '@nazar/core/depot-content';
import type { Unit } from '@nazar/core/rig';
import { useState, type ReactNode } from 'react';
import { Body, Button, Field, Heading, Sheet } from '@/design';
import { useWords } from '@/i18n';
import { CheckPicker } from './check-picker';
import { modulesOf, unitsWith } from './listed';
import { ScopeChoice } from './scope-choice';

export interface RuleSheetProps {
  readonly units: readonly Unit[];
  readonly content: DepotContent;
  /** The catalogue without what the depot changed. */
  readonly shipped: Catalogue;
  /** Keeps the next version; false when it was refused, and the sheet stays. */
  readonly onKeep: (content: DepotContent, words: string) => Promise<boolean>;
  readonly onClose: () => void;
  /** Why the last try was refused. */
  readonly refused?: ReactNode;
}

/** Chooses a check that is not asked any more, and says why. */
export function OffSheet({ units, content, shipped, refused, onKeep, onClose }: RuleSheetProps) {
  const t = useWords();
  const [chosen, setChosen] = useState<{ readonly check: Check; readonly module: Module }>();
  const [scope, setScope] = useState<Scope>({});
  const [reason, setReason] = useState('');
  const objectionTo = (check: Check) => {
    const protection = protectionOf(check);
    if (!protection) return undefined;
    return protection.by === 'rule'
      ? t('content.ruleAsks', { source: protection.source })
      : t('content.stopsIt');
  };
  const keep = async () => {
    if (!chosen) return;
    const words = reason.trim();
    const off = [...content.off, { check: chosen.check.id, reason: words, scope }];
    if (await onKeep({ ...content, off }, words)) onClose();
  };
  return (
    <Sheet
      title={t('content.switchOff')}
      closeTitle={t('close')}
      onClose={onClose}
      foot={
        chosen ? (
          <Button
            look="main"
            className="min-h-[64px]"
            title={t('content.switchOffNow')}
            disabled={reason.trim().length < 3}
            onPress={() => void keep()}
          />
        ) : undefined
      }
    >
      {refused}
      {chosen ? (
        <>
          <Heading level={3}>{chosen.check.title}</Heading>
          <Body>{t('content.offMeans')}</Body>
          <ScopeChoice
            units={unitsWith(units, chosen.module.id)}
            scope={scope}
            onChange={setScope}
          />
          <Field label={t('content.why')} value={reason} onChange={setReason} maxLength={300} />
        </>
      ) : (
        <CheckPicker
          modules={modulesOf(units, content, shipped)}
          objectionTo={objectionTo}
          onChoose={(check, module) => setChosen({ check, module })}
        />
      )}
    </Sheet>
  );
}
