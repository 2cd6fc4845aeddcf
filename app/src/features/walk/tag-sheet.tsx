import { readCode, readTagText } from '@nazar/core/inspection';
import type { RigZone } from '@nazar/core/rig';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Field, Sheet } from '@/design';
import { CodeCamera } from '@/drawing';
import { useWords } from '@/i18n';
import { useReference } from '@/state';

interface TagSheetProps {
  /** The stop whose tag is to be read. */
  readonly zone: RigZone;
  readonly onRead: (code: string, how: 'camera' | 'typed') => void;
  readonly onClose: () => void;
}

/** Proof of presence: the tag of this very stop, seen by the camera or typed. */
export function TagSheet({ zone, onRead, onClose }: TagSheetProps) {
  const t = useWords();
  const reference = useReference((state) => state.reference);
  const [typed, setTyped] = useState('');
  const [scanning, setScanning] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  const [unitId, zoneId] = zone.key.split('/');
  const own = reference?.tags?.find((tag) => tag.unitId === unitId && tag.zoneId === zoneId);
  const take = useCallback(
    (code: string, how: 'camera' | 'typed') => {
      if (own?.code === code) {
        onRead(code, how);
        return;
      }
      const other = reference?.tags?.find((tag) => tag.code === code);
      const unit = reference?.units.find(({ id }) => id === other?.unitId);
      setScanning(false);
      setTrouble(
        other && unit
          ? t('tag.wrong', {
              number: unit.number,
              stop: other.zoneId.replaceAll('-', ' '),
              here: `${zone.unit.number} · ${zone.title}`,
            })
          : t('tag.unknown'),
      );
    },
    [own, onRead, reference, t, zone],
  );
  const onSeen = useCallback(
    (text: string) => take(readTagText(text)?.code ?? '', 'camera'),
    [take],
  );
  const onRefused = useCallback(() => {
    setScanning(false);
    setTrouble(t('tag.noCamera'));
  }, [t]);
  return (
    <Sheet
      title={`${t('tag.title')} · ${zone.unit.number} ${zone.title}`}
      closeTitle={t('close')}
      onClose={onClose}
      foot={
        <Button
          look="main"
          title={t('tag.keep')}
          disabled={readCode(typed).length !== 6}
          onPress={() => take(readCode(typed), 'typed')}
        />
      }
    >
      <Body>{t('tag.why')}</Body>
      {own ? null : <Body role="alert">{t('tag.missing')}</Body>}
      {scanning ? (
        <>
          <Body live>{t('tag.scanning')}</Body>
          <CodeCamera onSeen={onSeen} onRefused={onRefused} />
        </>
      ) : (
        <View>
          <Button
            title={t('tag.scan')}
            onPress={() => {
              setTrouble(undefined);
              setScanning(true);
            }}
          />
        </View>
      )}
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
      <Field
        label={t('tag.code')}
        value={typed}
        onChange={(value) => {
          setTrouble(undefined);
          setTyped(value.toUpperCase());
        }}
        maxLength={10}
        autoCapitalize="characters"
        autoCorrect={false}
      />
    </Sheet>
  );
}
