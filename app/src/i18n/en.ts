import { bench } from './english/bench';
import { common } from './english/common';
import { office } from './english/office';
import { yard } from './english/yard';

/**
 * English, the source language: what the first screens say. The rest comes with the later ones. Short sentences, imperative titles,
 * no exclamation marks.
 */
export const en = { ...common, ...yard, ...office, ...bench };
