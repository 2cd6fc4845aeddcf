import { useRef, useState } from 'react';
import { Body, Button, Card, Heading, Soft } from '@/design';
import { useWords } from '@/i18n';

interface FileCardProps {
  readonly mayChange: boolean;
  readonly onFile: (file: unknown, name: string) => void;
}

/** The whole catalogue as one file, out and in. */
export function FileCard({ mayChange, onFile }: FileCardProps) {
  const t = useWords();
  const input = useRef<HTMLInputElement>(null);
  const [unreadable, setUnreadable] = useState(false);
  const read = async (file: File | undefined) => {
    if (!file) return;
    let parsed: unknown;
    try {
      parsed = JSON.parse(await file.text());
    } catch {
      setUnreadable(true);
      return;
    }
    setUnreadable(false);
    onFile(parsed, file.name);
  };
  return (
    <Card>
      <Heading level={2}>{t('content.file')}</Heading>
      <Soft>{t('content.fileWhy')}</Soft>
      <Button
        title={t('content.export')}
        onPress={() => window.open('/api/content/file', '_blank')}
      />
      {mayChange ? (
        <>
          <input
            ref={input}
            type="file"
            accept="application/json,.json"
            aria-label={t('content.import')}
            tabIndex={-1}
            data-testid="catalogue-input"
            style={{ display: 'none' }}
            onChange={(event) => {
              void read(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
          <Button title={t('content.import')} onPress={() => input.current?.click()} />
        </>
      ) : null}
      {unreadable ? (
        <Body role="alert" className="font-thick text-vermilion">
          {t('rules.unreadable')}
        </Body>
      ) : null}
    </Card>
  );
}
