export {
  AS_SHIPPED,
  OWN_CHECK,
  type HouseContent,
  type OwnCheck,
  type Scope,
  type StricterLimit,
  type SwitchedOff,
} from './content';
export { protectionOf, type Protection } from './protected';
export { adaptToUnit, isAdapted, withHouse } from './with-house';
