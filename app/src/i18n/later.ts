import i18next from 'i18next';
import { paper } from './english/paper';
import { walking } from './english/walking';

/** What only the later screens say. */
export const laterEn = { ...walking, ...paper };

i18next.addResourceBundle('en', 'translation', laterEn, true);
