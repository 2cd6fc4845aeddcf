import type { Check, Module } from '@nazar/core/catalogue';
import { useState } from 'react';
import { Body, Button, Field } from '@/design';
import { useWords } from '@/i18n';
import { findChecks } from './listed';

interface CheckPickerProps {
  readonly modules: readonly Module[];
  /** Why a check cannot be chosen; undefined when it can. */
  readonly objectionTo: (check: Check) => string | undefined;
  readonly onChoose: (check: Check, module: Module) => void;
}

const MOST = 30;

/** Finds one check of the depot's equipment by its words. */
export function CheckPicker({ modules, objectionTo, onChoose }: CheckPickerProps) {
  const t = useWords();
  const [typed, setTyped] = useState('');
  const found = modules.flatMap((module) =>
    findChecks(module.checks, typed).map((check) => ({ module, check })),
  );
  return (
    <>
      <Field label={t('content.find')} value={typed} onChange={setTyped} maxLength={60} />
      {found.length === 0 ? <Body>{t('content.noneFound')}</Body> : null}
      {found.slice(0, MOST).map(({ module, check }) => {
        const objection = objectionTo(check);
        // The same words are asked of several wheels and axles; the stop tells which.
        const stop = module.zones.find(({ id }) => id === check.zone)?.title;
        const where = [module.title, stop].filter(Boolean).join(' · ');
        return (
          <Button
            key={check.id}
            start
            title={check.title}
            note={objection ? `${where}. ${objection}` : where}
            disabled={objection !== undefined}
            onPress={() => onChoose(check, module)}
          />
        );
      })}
      {found.length > MOST ? (
        <Body>{t('content.more', { count: found.length - MOST })}</Body>
      ) : null}
    </>
  );
}
