/** What server and app say to each other, once: the server must answer it, the app may rely on it. */
export type { Desk, DeskWalk, SetAside } from './desk';
export type { ContentState, HouseRules } from './depot';
export type { EventAnswer } from './events';
export type { Logbook, LogbookPage, LogbookWalk, ReadingCourse, UnitService } from './logbook';
export type { LastReport, Outing, PlannedJob, Reference, Tag } from './reference';
export type { OpenSession, SignedInPerson } from './session';
export type { StopTag } from './tags';
export type { DefectFile, DefectPage } from './workshop';
export { sayRefusal, type RefusalCode } from './refusals';
