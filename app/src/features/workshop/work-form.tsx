import type { PhotoReference } from '@nazar/core/inspection';
import { useState } from 'react';
import { Body, Button, Card, Field, Heading } from '@/design';
import { PhotoStrip } from '@/drawing';
import { useWords } from '@/i18n';
import type { DefectRecord } from '@/state';
import { useSend } from './use-send';

interface WorkFormProps {
  readonly defect: DefectRecord;
  readonly personId: string;
  readonly onChanged: () => void;
}

/** "2 wheel stud, 1 hose" → parts; undefined when a piece has no words. */
export function parseParts(text: string): { words: string; count: number }[] | undefined {
  const pieces = text
    .split(/[,;\n]/)
    .map((piece) => piece.trim())
    .filter((piece) => piece !== '');
  const parts = pieces.map((piece) => {
    const found = /^(\d{1,3})\s*(?:x|×)?\s+(.+)$/i.exec(piece);
    return found ? { words: found[2], count: Number(found[1]) } : { words: piece, count: 1 };
  });
  return parts.every(({ words, count }) => words.length >= 2 && count >= 1) ? parts : undefined;
}

/** What was done at the bench: words, parts, minutes, pictures before and after. */
export function WorkForm({ defect, personId, onChanged }: WorkFormProps) {
  const t = useWords();
  const { send, trouble: refused } = useSend(defect.inspectionId, personId);
  const [open, setOpen] = useState(false);
  const [words, setWords] = useState('');
  const [parts, setParts] = useState('');
  const [minutes, setMinutes] = useState('');
  const [before, setBefore] = useState<readonly PhotoReference[]>([]);
  const [after, setAfter] = useState<readonly PhotoReference[]>([]);
  const [trouble, setTrouble] = useState<string>();
  if (!open) return <Button title={t('workshop.addWork')} onPress={() => setOpen(true)} />;

  const keep = async () => {
    const read = parseParts(parts);
    const spent = minutes.trim() === '' ? undefined : Number(minutes);
    const found =
      words.trim().length < 2
        ? t('workshop.needWork')
        : !read
          ? t('workshop.needParts')
          : spent !== undefined && !(Number.isInteger(spent) && spent >= 1 && spent <= 10_000)
            ? t('workshop.needMinutes')
            : undefined;
    setTrouble(found);
    if (found || !read) return;
    const sending = await send('worked', {
      defectId: defect.id,
      words: words.trim(),
      ...(spent !== undefined && { minutes: spent }),
      parts: read,
      photos: [
        ...before.map((photo) => ({ ...photo, when: 'before' as const })),
        ...after.map((photo) => ({ ...photo, when: 'after' as const })),
      ],
    });
    if (sending === 'refused') return;
    setOpen(false);
    setWords('');
    setParts('');
    setMinutes('');
    setBefore([]);
    setAfter([]);
    onChanged();
  };

  const shown = trouble ?? refused;
  return (
    <Card className="gap-3">
      <Heading level={2}>{t('workshop.work')}</Heading>
      <Field
        label={t('workshop.workWords')}
        value={words}
        onChange={setWords}
        maxLength={1000}
        multiline
      />
      <Field
        label={t('workshop.parts')}
        hint={t('workshop.partsHint')}
        value={parts}
        onChange={setParts}
        maxLength={600}
      />
      <Field
        label={t('workshop.minutes')}
        value={minutes}
        onChange={setMinutes}
        inputMode="numeric"
        maxLength={5}
      />
      <PhotoStrip
        inspectionId={defect.inspectionId}
        personId={personId}
        photos={before}
        title={t('workshop.photoBefore')}
        onChange={setBefore}
      />
      <PhotoStrip
        inspectionId={defect.inspectionId}
        personId={personId}
        photos={after}
        title={t('workshop.photoAfter')}
        onChange={setAfter}
      />
      {shown ? (
        <Body role="alert" className="font-thick text-vermilion">
          {shown}
        </Body>
      ) : null}
      <Button look="main" title={t('workshop.keepWork')} onPress={() => void keep()} />
      <Button look="quiet" title={t('close')} onPress={() => setOpen(false)} />
    </Card>
  );
}
