/**
 * What may never be on a walk, as the judge of plans tells it: a second telling on purpose. It shares no line with the table
 * that plans are made from (core/vehicle), so that a mistake there is seen here.
 */
export const NEVER = {
  1: 'The driver leaves the seat with the parking brake released, or it stays released longer than one block',
  2: 'Chocks are handled with the parking brake released',
  3: 'Somebody reaches in, under or between while it could start, move or roll',
  4: 'It rolls with something out, open or untested',
  5: 'A movement is tested without the power that moves it',
  6: 'Somebody is beneath what is raised and not propped',
  7: 'Equipment is cycled as empty with something in or on it',
  8: 'A test wants air that nothing has made',
  9: 'What is stowed or latched is looked at only after its cycle has undone it, or never again',
  10: 'A movement stays on the list though a part that carries, moves or guards has failed',
  11: 'The walk does not end ready to leave, or parked and secured',
  12: 'A helper is in the clear zone of what moves',
  13: 'A caution on the screen is broken on the same screen',
  14: 'A machine is used before the place and the machine were looked over, or put away before all of it was tried',
} as const;

export type NeverNumber = keyof typeof NEVER;

/** One breach: which rule, at which check or act, and what is wrong there in words. */
export interface Violation {
  readonly rule: NeverNumber;
  readonly at: string;
  readonly words: string;
}
