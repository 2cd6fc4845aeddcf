import type { PhotoReference } from '@nazar/core/inspection';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { Body, Button } from '@/design';
import { useWords } from '@/i18n';
import { keepPhoto } from '@/state';
import { preparePhoto } from '@/workers';
import { KeptPhoto } from './kept-photo';

interface PhotoStripProps {
  readonly inspectionId: string;
  readonly personId: string;
  readonly photos: readonly PhotoReference[];
  readonly onChange: (photos: readonly PhotoReference[]) => void;
  /** Words on the button for the first picture. */
  readonly title?: string;
}

const MOST = 6;

/** Photos of the fault; each is prepared in a worker and kept before it shows. */
export function PhotoStrip(props: PhotoStripProps) {
  const { inspectionId, personId, photos, onChange } = props;
  const t = useWords();
  const first = props.title ?? t('fault.photo');
  const input = useRef<HTMLInputElement>(null);
  const [state, setState] = useState<'idle' | 'working' | 'not-a-picture' | 'huge'>('idle');

  const take = async (file: File | undefined) => {
    if (!file) return;
    setState('working');
    const prepared = await preparePhoto(file);
    if (!prepared.ok) {
      setState(prepared.problem);
      return;
    }
    const kept = await keepPhoto(inspectionId, personId, prepared);
    setState('idle');
    if (kept) onChange([...photos, kept]);
  };

  return (
    <View className="gap-2">
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        aria-label={first}
        tabIndex={-1}
        data-testid="photo-input"
        style={{ display: 'none' }}
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      {photos.length < MOST ? (
        <Button
          title={
            state === 'working'
              ? t('fault.photoWorking')
              : photos.length === 0
                ? first
                : t('fault.photoMore')
          }
          disabled={state === 'working'}
          onPress={() => input.current?.click()}
        />
      ) : null}
      {state === 'not-a-picture' || state === 'huge' ? (
        <Body role="alert" className="font-thick text-vermilion">
          {t(state === 'huge' ? 'fault.photoHuge' : 'fault.photoBad')}
        </Body>
      ) : null}
      {photos.map((photo, index) => (
        <View key={photo.id} className="flex-row items-center gap-3">
          <KeptPhoto id={photo.id} label={t('fault.photoOf', { number: index + 1 })} size={112} />
          <Button
            title={t('fault.photoDrop')}
            onPress={() => onChange(photos.filter(({ id }) => id !== photo.id))}
          />
        </View>
      ))}
    </View>
  );
}
