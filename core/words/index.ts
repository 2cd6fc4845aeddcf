export { Refusal, say } from './messages';
export type { Amount, Message } from './sayings';
