import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Field, Figure, Sheet, Soft } from '@/design';
import { SquareCode } from '@/drawing';
import { formatWhen, useWords } from '@/i18n';
import { codeOfWalk, type Walk } from '@/state/walk';

interface HelperSheetProps {
  readonly walk: Walk;
  readonly onNamed: (name: string) => void;
  readonly onParted: () => void;
  readonly onClose: () => void;
}

/** Who helps: with a phone of their own by a code that is read out, or without one by name. */
export function HelperSheet({ walk, onNamed, onParted, onClose }: HelperSheetProps) {
  const t = useWords();
  const { helper } = walk.inspection.course;
  const [name, setName] = useState('');
  const [code, setCode] = useState<string>();
  const { id } = walk.inspection;
  useEffect(() => {
    let gone = false;
    void codeOfWalk(id).then((found) => {
      if (!gone) setCode(found);
    });
    return () => {
      gone = true;
    };
  }, [id]);
  return (
    <Sheet title={t('helping.title')} closeTitle={t('close')} onClose={onClose}>
      {helper ? (
        <>
          <Body className="font-thick">
            {t('helping.here', { name: helper.name, when: formatWhen(helper.at) })}
          </Body>
          {helper.phone ? <Soft>{t('helping.withPhone')}</Soft> : null}
          <Button title={t('helping.sendAway', { name: helper.name })} onPress={onParted} />
        </>
      ) : (
        <>
          <Body>{t('helping.none')}</Body>
          {code ? (
            <View className="items-center gap-2">
              <Body>{t('helping.code')}</Body>
              <Figure className="text-6xl tracking-widest">{code}</Figure>
              <SquareCode text={code} label={code} />
            </View>
          ) : (
            <Body>{t('helping.codeSaved')}</Body>
          )}
          <Body className="font-thick">{t('helping.noPhone')}</Body>
          <Field label={t('helping.name')} value={name} onChange={setName} maxLength={80} />
          <Button
            title={t('helping.add')}
            disabled={name.trim().length < 2}
            onPress={() => onNamed(name.trim())}
          />
        </>
      )}
    </Sheet>
  );
}
