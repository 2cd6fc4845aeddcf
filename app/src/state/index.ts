export type { DefectRecord } from '@nazar/core/repair';
export { ApiProblem, OFFLINE } from './api';
export { dropDraft, keepDraft, listDrafts, readDraft } from './drafts';
export {
  appendEntries,
  lastRefusal,
  listRefused,
  listUnfinished,
  useLog,
  type NewEntry,
  type RefusedEntry,
} from './log';
export { keepPhoto, loadPhoto, type PreparedPicture } from './photos';
export { keepRigChoice, readRigChoice, usePreferences, type Theme } from './preferences';
export {
  knownDefects,
  unreadRepairs,
  useReference,
  type LastReport,
  type Reference,
} from './reference';
export { loadReportText, loadSealKeys, parseReport } from './reports';
export { useSession, type SignedInPerson } from './session';
export { startSync, syncNow, useSync, type SyncTrouble } from './sync';
export { useWalk, type Walk } from './walk';
export { useWorkshop } from './workshop';
