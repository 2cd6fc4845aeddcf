import fc from 'fast-check';
import { FIRST_LINK, findChainFaults, type ChainEntry } from '.';

const hash = (number: number) => number.toString(16).padStart(64, 'a');
const entry = (sequence: number): ChainEntry => ({
  report: `report ${sequence}`,
  sequence,
  previous: sequence === 1 ? FIRST_LINK : hash(sequence - 1),
  hash: hash(sequence),
});
const chain = [1, 2, 3, 4, 5].map(entry);
const head = { sequence: 5, hash: hash(5) };

describe('the chain of a unit', () => {
  it('holds', () => {
    expect(findChainFaults(chain, head)).toEqual([]);
    expect(findChainFaults([])).toEqual([]);
  });

  it('holds in any order', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(chain, { minLength: 5 }), (shuffled) => {
        expect(findChainFaults(shuffled, head)).toEqual([]);
      }),
    );
  });

  it('holds over removed reports whose link was kept', () => {
    expect(findChainFaults([{ ...chain[0], removed: true }, ...chain.slice(1)], head)).toEqual([]);
  });

  it.each([
    ['one left out', chain.filter(({ sequence }) => sequence !== 3), 'gap', 4],
    ['the first left out', chain.slice(1), 'first-lost', 2],
    ['one twice', [...chain, { ...chain[2], report: 'other' }], 'twice', 3],
    [
      'one replaced',
      chain.map((each) => (each.sequence === 2 ? { ...each, hash: hash(99) } : each)),
      'does-not-follow',
      3,
    ],
    ['the newest cut off', chain.slice(0, 4), 'gap', 5],
  ] as const)('%s shows', (_, entries, code, sequence) => {
    expect(findChainFaults(entries, head)).toEqual(
      expect.arrayContaining([expect.objectContaining({ code, sequence })]),
    );
  });
});
