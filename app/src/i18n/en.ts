import { bench } from './english/bench';
import { common } from './english/common';
import { office } from './english/office';
import { paper } from './english/paper';
import { walking } from './english/walking';
import { yard } from './english/yard';

/** English, the source language. Short sentences, imperative titles, no exclamation marks. */
export const en = { ...common, ...yard, ...walking, ...paper, ...office, ...bench };
