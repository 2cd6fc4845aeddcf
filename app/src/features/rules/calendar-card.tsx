import { useState } from 'react';
import { Body, Button, Card, Heading, Soft } from '@/design';
import { useWords } from '@/i18n';
import { ApiProblem, renewCalendar } from '@/state';

/** Services of the depot in any calendar, under an address that nobody can guess. */
export function CalendarCard() {
  const t = useWords();
  const [address, setAddress] = useState<string>();
  const [trouble, setTrouble] = useState<string>();
  const renew = async () => {
    try {
      setAddress(await renewCalendar());
      setTrouble(undefined);
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      setTrouble(error.detail || t('trouble.offline'));
    }
  };
  return (
    <Card>
      <Heading level={2}>{t('rules.calendar')}</Heading>
      <Soft>{t('rules.calendarWhy')}</Soft>
      {address ? (
        <Body selectable className="font-thick">
          {address}
        </Body>
      ) : null}
      {trouble ? (
        <Body role="alert" className="font-thick text-vermilion">
          {trouble}
        </Body>
      ) : null}
      <Button title={t('rules.renew')} onPress={() => void renew()} />
    </Card>
  );
}
