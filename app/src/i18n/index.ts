import i18next from 'i18next';
import { initReactI18next, useTranslation } from 'react-i18next';
import { en } from './en';

void i18next.use(initReactI18next).init({
  lng: 'en',
  fallbackLng: 'en',
  resources: { en: { translation: en } },
  interpolation: { escapeValue: false },
  returnObjects: true,
});

/** Translates a key of the message file. */
export function useWords() {
  const { t } = useTranslation();
  return t as (key: string, values?: Record<string, unknown>) => string;
}

/** A list of words under one key. */
export function useWordList(key: string): readonly string[] {
  const { t } = useTranslation();
  return t(key, { returnObjects: true }) as unknown as readonly string[];
}

/** A moment in the reader's habit, short: today by its hour, within a week by the days, else by its date. */
export function formatWhen(time: string | number, now: number = Date.now()): string {
  const date = new Date(time);
  const days = Math.floor((startOfDay(now) - startOfDay(date.getTime())) / 86_400_000);
  const hour = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' }).format(
    date,
  );
  if (days === 0) return hour;
  const relative = new Intl.RelativeTimeFormat(undefined, { numeric: 'auto' });
  if (days > -7 && days < 7) return `${relative.format(-days, 'day')} ${hour}`;
  return new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' }).format(date);
}

/** A day of a card, `YYYY-MM-DD`, in the reader's habit; it is the same day wherever it is read. */
export function formatDay(day: string): string {
  return new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeZone: 'UTC' }).format(
    new Date(`${day}T00:00:00Z`),
  );
}

/** The day where the reader stands, `YYYY-MM-DD`. */
export function dayHere(time: number = Date.now()): string {
  const date = new Date(time);
  const two = (part: number) => String(part).padStart(2, '0');
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

function startOfDay(time: number): number {
  const date = new Date(time);
  return new Date(date.getFullYear(), date.getMonth(), date.getDate()).getTime();
}
