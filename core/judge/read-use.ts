import type { CheckInstance, Rig } from '../rig';

/** Where a check stands in the use of a machine, read from its words. */
export type PartOfUse = 'survey' | 'look' | 'trial' | 'work' | 'putting away';

const SURVEY =
  /\b(?:overhead|look up|for lines|ground where|keep.?out|cones|clear zone|slope of the way|slope where|know the mass|where it will (?:stand|tip|work)|wind at)\b/i;
const WORK = /\b(?:passenger aboard|lower a load|drive it off|lead it off|travel in low)\b/i;
/** With the work done: the chair is on board and tied, the door is shut behind it. */
const AFTER = /\b(?:strap of the chair|before it is shut)\b/i;
const PUT_AWAY = /\b(?:stow the|leave: fold|onto the trailer and)\b/i;

/**
 * @param moves it is moved by something stronger than a hand
 */
export function readUse({ check, unit }: CheckInstance, rig: Rig, moves: boolean): PartOfUse {
  const { title, id } = check;
  const module = rig.units.find((each) => each.unit.id === unit.id)?.module;
  const led = module?.procedures.some((each) => each.check === id) ?? false;
  if (AFTER.test(title)) return 'putting away';
  if (!moves && SURVEY.test(title)) return 'survey';
  if (moves && WORK.test(title)) return 'work';
  if (moves && led && PUT_AWAY.test(title)) return 'putting away';
  return moves ? 'trial' : 'look';
}

/** What must be over before it, of the same machine. */
export const BEFORE_IT: Readonly<Record<PartOfUse, readonly PartOfUse[]>> = {
  survey: [],
  look: [],
  trial: ['survey'],
  // Nobody is carried, and nothing driven off, on what has not been looked over.
  work: ['survey', 'look'],
  'putting away': ['survey', 'look', 'trial', 'work'],
};
