import type { UnitHabit } from '../quantity';
import { sayInEnglish } from './english';
import type { Message } from './sayings';

/** What somebody asked for cannot be, and why. Its sentence is for whoever reads the log of a program; people are told by {@link say}. */
export class Refusal extends RangeError {
  constructor(readonly says: Message) {
    super(say(says, 'metric'));
  }
}

/** A message in words, in the reader's units. English is the language there is. */
export function say(message: Message, habit: UnitHabit): string {
  return sayInEnglish(message, habit);
}
