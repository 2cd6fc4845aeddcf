export {
  applicableLimits,
  findImpossible,
  judgeReading,
  soundRange,
  type AppliedLimit,
  type Impossible,
  type Judgement,
  type SoundRange,
} from './judge-reading';
