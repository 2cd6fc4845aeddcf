export {
  applicableLimits,
  findImpossible,
  firstLimit,
  judgeReading,
  type AppliedLimit,
  type Impossible,
  type Judgement,
} from './judge-reading';
