export {
  AS_SHIPPED,
  OWN_CHECK,
  type DepotContent,
  type OwnCheck,
  type Scope,
  type StricterLimit,
  type SwitchedOff,
} from './content';
export { protectionOf, type Protection } from './protected';
export { adaptToUnit, isAdapted, withDepotContent } from './with-depot-content';
