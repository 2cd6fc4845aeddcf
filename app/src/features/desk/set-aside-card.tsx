import type { SetAside } from '@nazar/core/wire';
import { View } from 'react-native';
import { Body, Button, Card, Heading, Soft } from '@/design';
import { formatWhen, useWords } from '@/i18n';
import { ApiProblem, forgetSetAside } from '@/state';
import { useState } from 'react';

/** Entries that the server could not take in: the supervisor talks with whoever made them, and ticks them off. */
export function SetAsideCard({
  entries,
  mayForget,
  onChanged,
}: {
  readonly entries: readonly SetAside[];
  readonly mayForget: boolean;
  readonly onChanged: () => void;
}) {
  const t = useWords();
  const [trouble, setTrouble] = useState<string>();
  if (entries.length === 0) return null;
  const forget = async (id: string) => {
    try {
      await forgetSetAside(id);
      setTrouble(undefined);
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setTrouble(error.detail || t('desk.offline'));
    }
    onChanged();
  };
  return (
    <Card>
      <Heading level={2}>{t('desk.setAside')}</Heading>
      <Soft>{t('desk.setAsideWhy')}</Soft>
      {trouble ? <Body role="alert">{trouble}</Body> : null}
      {entries.map(({ id, person, count, code, detail, receivedAt }) => (
        <View key={id} className="gap-1 border-t border-line pt-2">
          <Body className="font-thick">
            {`${person} · ${t('desk.entries', { count })} · ${formatWhen(receivedAt)}`}
          </Body>
          <Body>{t(`desk.reasons.${code}`)}</Body>
          <Soft>{detail}</Soft>
          {mayForget ? (
            <Button
              className="self-start"
              title={t('desk.lookedAfter')}
              label={t('desk.lookedAfterOf', { person })}
              onPress={() => void forget(id)}
            />
          ) : null}
        </View>
      ))}
    </Card>
  );
}
