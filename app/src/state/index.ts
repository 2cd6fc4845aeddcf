export type { DefectRecord } from '@nazar/core/repair';
export { ApiProblem, OFFLINE } from './api';
export { useCatalogueOf, useContentMissing, useModulesOf, useWholeCatalogue } from './catalogue';
export { fromParams, toParams, type Comparison, type ComparisonParams } from './comparison';
export { bringCatalogue, changeContent, loadContentVersion, useContent } from './content';
export { useRoadWeather } from './conditions';
export { cancelJob, forgetSetAside, planJob, useDesk } from './desk';
export { dropDraft, keepDraft, listDrafts, readDraft } from './drafts';
export { listRefused, listUnfinished, useLog, type RefusedEntry } from './log';
export { useHabit, useSpeed } from './habit';
export {
  bringPolicy,
  takePolicyAway,
  choosePolicies,
  hold,
  liftHold,
  renewCalendar,
  useHouseRules,
} from './house-rules';
export { keepRig, takeRigApart } from './rigs';
export { recordService, useLogbook } from './logbook';
export { keepPhoto, loadPhoto, type PreparedPicture } from './photos';
export { keepRigChoice, readRigChoice, usePreferences, type Theme } from './preferences';
export { useReference, weakSpotAt } from './reference';
export { loadReportText, loadSealKeys, useReport } from './reports';
export { changeTag, useTags } from './tags';
export { useSession } from './session';
export { endSession, useSessions } from './sessions';
export { startSync, syncNow, useSync, type SyncTrouble } from './sync';
export { useDefectFile, useWorkshop } from './workshop';
