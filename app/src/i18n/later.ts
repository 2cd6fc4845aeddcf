import i18next from 'i18next';
import { bench } from './english/bench';
import { judging } from './english/judging';
import { office } from './english/office';
import { paper } from './english/paper';
import { walking } from './english/walking';
import { yard } from './english/yard';

/** What only the later screens say. */
export const laterEn = { ...walking, ...yard, ...judging, ...bench, ...office, ...paper };

i18next.addResourceBundle('en', 'translation', laterEn, true);
