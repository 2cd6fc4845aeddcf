export { UNITS, unitFor, type Kind, type UnitHabit, type UnitName } from './units';
export { formatSi, formatSpeedLimit, fromSi, toSi } from './convert';
export { parseTyped, type Parsed, type ParseProblem } from './parse';
