import { common } from './english/common';
import { today } from './english/today';

/**
 * English, the source language: what the first screens say. The rest comes with the later ones. Short sentences, imperative titles,
 * no exclamation marks.
 */
export const en = { ...common, ...today };
