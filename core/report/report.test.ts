import { ed25519 } from '@noble/curves/ed25519';
import { bytesToHex } from '@noble/hashes/utils';
import Ajv from 'ajv';
import addFormats from 'ajv-formats';
import fc from 'fast-check';
import { twoStepPolicy } from '../grading';
import { assess, fold } from '../inspection';
import {
  driver,
  faultOf,
  instanceOf,
  makeId,
  makeRig,
  mechanic,
  signature,
  trailer,
  truck,
  walkId,
  walkSound,
} from '../testing/halvern';
import { buildReport, reportSchema, type Addition } from '.';
import {
  FIRST_LINK,
  hashOf,
  isSignatureGood,
  endOf,
  makeHead,
  makeSeal,
  nextAdditionLink,
  partDigests,
  toCanonical,
  toFileText,
  verifyReport,
  type ReportFile,
} from '../seal';

const privateKey = new Uint8Array(32).fill(7);
const publicKey = bytesToHex(ed25519.getPublicKey(privateKey));
const sign = (bytes: Uint8Array) => ed25519.sign(bytes, privateKey);
const rig = makeRig();

const policiesOf = () => [twoStepPolicy];

function makeReport(unitId = truck.id) {
  const log = walkSound(rig, ['dark']);
  const photo = { id: makeId(77), width: 1200, height: 900 };
  log.add(
    'faulted',
    faultOf(instanceOf(rig, 'truck.wheel.nuts/drive-left'), 'nut-streak', {
      photos: [photo],
      spot: { x: 6.2, y: -0.9 },
      note: 'Second from the top',
    }),
  );
  log.add('answered', {
    key: instanceOf(rig, 'truck.records.decals').key,
    outcome: 'not-looked',
    reason: 'Mud on it',
  });
  log.add('signed', { signature, headline: 'limits' });
  const inspection = fold(walkId, log.events);
  return buildReport({
    reportIds: new Map([
      [truck.id, walkId],
      [trailer.id, makeId(990)],
    ]),
    unitId,
    inspection,
    rig,
    assessment: assess({ inspection, rig, policiesOf, known: [], unread: [] }),
    policies: [twoStepPolicy],
    organisation: 'Halvern District',
    depot: 'North Yard',
    driver: { id: driver, name: 'Imre Dahl' },
    photoHashes: new Map([[photo.id, 'a'.repeat(64)]]),
  });
}

const report = makeReport();
const seal = makeSeal(report, {
  chain: [{ unit: truck.id, sequence: 3, previous: 'b'.repeat(64) }],
  sealedAt: '2026-11-25T06:00:00.000Z',
  publicKey,
  sign,
});
const addition: Addition = {
  id: makeId(800),
  kind: 'certified',
  report: report.id,
  at: '2026-11-25T09:00:00.000Z',
  by: { id: mechanic, name: 'Rasmus Feld' },
  defect: report.defects[0].id,
  outcome: 'repaired',
  words: 'Nuts torqued',
  signature,
};
const beheaded: ReportFile = {
  report,
  seal,
  additions: [
    {
      addition,
      seal: makeSeal(addition, {
        chain: [{ unit: report.id, sequence: 1, previous: seal.hash }],
        sealedAt: '2026-11-25T09:00:01.000Z',
        publicKey,
        sign,
      }),
    },
  ],
};
const file: ReportFile = {
  ...beheaded,
  head: makeHead(endOf(beheaded), { sealedAt: '2026-11-25T09:00:01.000Z', publicKey, sign }),
};
const text = toFileText(file);

describe('the report', () => {
  it('says what was found, in words and places', () => {
    expect(report.verdict.headline).toBe('limits');
    expect(report.defects).toHaveLength(1);
    expect(report.defects[0]).toMatchObject({
      unit: '214',
      place: 'left rear',
      symptom: 'Rust streak or shiny mark, nuts tight',
      grade: 'minor',
      spot: { x: 6.2, y: -0.9 },
      photos: [{ sha256: 'a'.repeat(64) }],
    });
    expect(report.answers).toHaveLength(
      rig.instances.filter(({ unit }) => unit.id === truck.id).length,
    );
    expect(report.answers.filter(({ outcome }) => outcome === 'not-looked')).toMatchObject([
      { reason: 'Mud on it', replaced: 1 },
    ]);
  });

  it('keeps each reading with the limit it was held against', () => {
    const tread = report.answers.find(({ key }) => key.endsWith('tyre.tread-steer/steer-left'));
    expect(tread?.readings?.[0]).toMatchObject({
      typed: '13',
      unit: '32nds',
      limit: { side: 'below' },
    });
    expect(report.odometer).toBeCloseTo(96_000 * 1609.344, 0);
  });

  it('is what its JSON says', () => {
    expect(JSON.parse(JSON.stringify(report))).toEqual(report);
  });

  it('is one for each unit of the rig, and each names the others', () => {
    const other = makeReport(trailer.id);
    expect(report.units.map(({ number }) => number)).toEqual(['214']);
    expect(other.units.map(({ number }) => number)).toEqual(['931']);
    expect(other.rig).toEqual(report.rig);
    expect(report.rig?.units.map((unit) => unit.report)).toEqual([report.id, other.id]);
    expect(other.defects).toEqual([]);
    // Nothing was found on the trailer: its own report says so, though the rig has limits.
    expect(other.verdict.headline).toBe('rolls');
    expect(other.rig?.headline).toBe('limits');
    expect(report.answers.length + other.answers.length).toBe(rig.instances.length);
    expect(() => makeReport(makeId(5))).toThrow(/not part of the walk/);
  });

  it('names the policy with its words, and until when the defect is to be mended', () => {
    expect(report.policy).toMatchObject({ id: 'two-step', words: twoStepPolicy.words });
    const [defect] = report.defects;
    const found = report.answers.find(({ key }) => key === defect.key);
    expect(Date.parse(defect.due ?? '') - Date.parse(found?.at ?? '')).toBe(14 * 86_400_000);
  });

  it('is not made of a walk that nobody signed', () => {
    const inspection = fold(walkId, walkSound(rig).events);
    const assessment = assess({ inspection, rig, policiesOf, known: [], unread: [] });
    expect(() =>
      buildReport({
        reportIds: new Map(),
        unitId: truck.id,
        inspection,
        rig,
        assessment,
        policies: [twoStepPolicy],
        organisation: '',
        depot: '',
        driver: { id: driver, name: '' },
        photoHashes: new Map(),
      }),
    ).toThrow(/signed/);
  });

  it('fits its published schema, with additions', () => {
    const ajv = new Ajv({ allErrors: true });
    addFormats(ajv);
    expect({ valid: ajv.validate(reportSchema, file), errors: ajv.errors }).toEqual({
      valid: true,
      errors: null,
    });
    const smuggled = { ...file, report: { ...report, bonus: 1 } };
    expect(ajv.validate(reportSchema, smuggled)).toBe(false);
  });
});

describe('canonical form and digests', () => {
  it('does not depend on the order of fields', () => {
    expect(toCanonical({ b: 1, a: [{ d: 2, c: 3 }] })).toBe('{"a":[{"c":3,"d":2}],"b":1}');
    expect(hashOf({ a: 1, b: 2 })).toBe(hashOf({ b: 2, a: 1 }));
  });

  // SHA-256 of "{}" (FIPS 180-4).
  it('hashes the canonical bytes', () => {
    expect(hashOf({})).toBe('44136fa355b3678a1146ad16f7e8649e94fb4fc21fe77e8310c060f61caaff8a');
  });

  it('refuses what JSON cannot hold', () => {
    expect(() => toCanonical(undefined)).toThrow(TypeError);
    expect(() => toCanonical({ a: Number.NaN })).toThrow();
  });

  it('has a digest for each field and each item of a list', () => {
    expect(Object.keys(partDigests({ a: 1, b: [1, 2], c: [] }))).toEqual([
      'a',
      'b[0]',
      'b[1]',
      'c',
    ]);
  });

  it('starts a chain with zeros', () => {
    expect(FIRST_LINK).toMatch(/^0{64}$/);
  });
});

describe('checking a file', () => {
  const outcome = (changed: string, keys = [publicKey]) => verifyReport(changed, keys);
  const paths = (change: (copy: ReportFile & Record<string, never>) => void): string[] => {
    const copy = JSON.parse(text) as ReportFile & Record<string, never>;
    change(copy);
    const result = outcome(toFileText(copy));
    return result.outcome === 'changed' ? result.changes.map(({ path }) => path) : [result.outcome];
  };
  const write = (path: readonly (string | number)[], value: unknown) => (copy: object) => {
    const parent = path.slice(0, -1).reduce((at: never, name) => at[name], copy as never) as Record<
      string,
      unknown
    >;
    parent[String(path.at(-1))] = value;
  };

  it('finds it intact', () => {
    expect(outcome(text)).toMatchObject({ outcome: 'intact', notes: [] });
  });

  it('says so when there is no key to hold it against', () => {
    expect(outcome(text, [])).toMatchObject({ outcome: 'intact', notes: ['key-not-compared'] });
  });

  it('says so when only the spacing differs', () => {
    expect(outcome(JSON.stringify(file))).toMatchObject({
      outcome: 'intact',
      notes: ['spacing-differs'],
    });
  });

  it.each([
    ['a verdict', ['report', 'verdict', 'headline'], 'rolls', 'report.verdict'],
    ['a grade', ['report', 'defects', 0, 'grade'], 'note', 'report.defects[0]'],
    ['an answer', ['report', 'answers', 17, 'outcome'], 'major', 'report.answers[17]'],
    ['the driver', ['report', 'driver', 'name'], 'Somebody', 'report.driver'],
    ['the time', ['report', 'signedAt'], '2026-11-25T05:00:00.000Z', 'report.signedAt'],
    ['the link before', ['seal', 'chain', 0, 'previous'], 'c'.repeat(64), 'seal.chain'],
    ['the time of the seal', ['seal', 'sealedAt'], '2027-01-01T00:00:00.000Z', 'seal.sealedAt'],
    ['the hash', ['seal', 'hash'], 'd'.repeat(64), 'seal.hash'],
    ['the signature', ['seal', 'signature'], 'e'.repeat(128), 'seal.signature'],
    ['a digest', ['seal', 'parts', 'driver'], 'f'.repeat(16), 'seal.parts.driver'],
    ['a repair', ['additions', 0, 'addition', 'words'], 'Nothing', 'additions[0].addition.words'],
    ['the algorithm', ['seal', 'algorithm'], 'none', 'seal.signature'],
  ])('names %s', (_, path, value, named) => {
    expect(paths(write(path, value))).toEqual([named]);
  });

  it('names what was removed and what was put in', () => {
    expect(paths((copy) => delete (copy.report as { odometer?: number }).odometer)).toEqual([
      'report.odometer',
    ]);
    expect(paths(write(['report', 'bonus'], 1))).toEqual(['report.bonus']);
    expect(paths(write(['bonus'], 1))).toEqual(['bonus']);
  });

  it('says in words what stands there', () => {
    const copy = JSON.parse(text.replace('"Imre Dahl"', '"Imre Dahm"')) as ReportFile;
    const result = outcome(toFileText(copy));
    expect(result).toMatchObject({ outcome: 'changed', changes: [{ words: 'Imre Dahm' }] });
  });

  it('does not take an addition of another report', () => {
    const foreign = { ...addition, report: makeId(1) };
    const changed = toFileText({
      ...file,
      additions: [
        {
          addition: foreign,
          seal: makeSeal(foreign, { ...file.additions[0].seal, publicKey, sign }),
        },
      ],
    });
    expect(outcome(changed)).toMatchObject({
      outcome: 'changed',
      changes: [{ path: 'additions[0].addition' }],
    });
  });

  describe('with several additions', () => {
    const whole = ['first', 'second', 'third', 'fourth'].reduce<ReportFile>(
      (before, words, index) => {
        const next = { ...addition, id: makeId(900 + index), words };
        const sealed = makeSeal(next, {
          chain: [nextAdditionLink(before)],
          sealedAt: seal.sealedAt,
          publicKey,
          sign,
        });
        return { ...before, additions: [...before.additions, { addition: next, seal: sealed }] };
      },
      { ...beheaded, additions: [] },
    );
    const rowOf = (pick: (all: ReportFile['additions']) => ReportFile['additions']) => {
      const result = outcome(toFileText({ ...whole, additions: pick(whole.additions) }));
      return result.outcome === 'changed' ? result.changes[0].path : result.outcome;
    };

    it('finds them intact in their order', () => {
      expect(rowOf((all) => all)).toBe('intact');
      expect(whole.additions.map((each) => each.seal.chain[0].sequence)).toEqual([1, 2, 3, 4]);
    });

    it('finds one that was taken out, doubled, moved, or put in from another file', () => {
      expect(rowOf(([, ...rest]) => rest)).toBe('additions[0].seal.chain');
      expect(rowOf(([a, , c, d]) => [a, c, d])).toBe('additions[1].seal.chain');
      expect(rowOf(([a, b, c, d]) => [a, c, b, d])).toBe('additions[1].seal.chain');
      expect(rowOf(([a, b, c, d]) => [a, b, b, c, d])).toBe('additions[2]');
      expect(rowOf((all) => [...all, file.additions[0]])).toBe('additions[4].seal.chain');
    });

    describe('whose end is signed', () => {
      const headed: ReportFile = {
        ...whole,
        head: makeHead(endOf(whole), { sealedAt: '2026-11-25T10:00:00.000Z', publicKey, sign }),
      };
      const told = (changed: ReportFile) => {
        const result = outcome(toFileText(changed));
        return result.outcome === 'changed' ? result.changes[0] : result.outcome;
      };

      it('finds one that was taken off the end, and says when it was there', () => {
        expect(told(headed)).toBe('intact');
        expect(told({ ...headed, additions: headed.additions.slice(0, 3) })).toEqual({
          path: 'additions[3]',
          words: 'was removed: there were 4 additions on 2026-11-25T10:00:00.000Z',
        });
      });

      it('finds a head that was made up, changed, or is of another report', () => {
        const { head } = headed;
        if (!head) throw new Error('no head');
        const shorter = { ...headed, additions: headed.additions.slice(0, 3) };
        expect(told({ ...shorter, head: { ...head, count: 3 } })).toMatchObject({
          path: 'head.signature',
        });
        const foreign = makeHead(
          { ...endOf(whole), of: makeId(1) },
          { sealedAt: seal.sealedAt, publicKey, sign },
        );
        expect(told({ ...headed, head: foreign })).toMatchObject({ path: 'head' });
        const early = makeHead(endOf(shorter), { sealedAt: seal.sealedAt, publicKey, sign });
        expect(told({ ...headed, head: early })).toMatchObject({ path: 'head' });
      });

      it('says of a file without one that its end could not be seen', () => {
        const noted = outcome(toFileText(whole));
        expect(noted).toMatchObject({ outcome: 'intact', notes: ['end-not-signed'] });
        expect(outcome(toFileText(headed))).toMatchObject({ notes: [] });
      });
    });

    it('takes those of before they were counted, first, and counts on after them', () => {
      const uncounted = [1, 2].map((index) => {
        const next = { ...addition, id: makeId(950 + index) };
        const chain = [{ unit: report.id, sequence: 1, previous: seal.hash }];
        return {
          addition: next,
          seal: makeSeal(next, { chain, sealedAt: seal.sealedAt, publicKey, sign }),
        };
      });
      const before = { ...file, additions: uncounted };
      const next = { ...addition, id: makeId(960) };
      const chain = [nextAdditionLink(before)];
      expect(chain[0].sequence).toBe(3);
      const sealed = makeSeal(next, { chain, sealedAt: seal.sealedAt, publicKey, sign });
      const after = [...uncounted, { addition: next, seal: sealed }];
      expect(outcome(toFileText({ ...beheaded, additions: after })).outcome).toBe('intact');
      expect(
        outcome(toFileText({ ...beheaded, additions: [after[2], ...uncounted] })).outcome,
      ).toBe('changed');
    });

    it('finds a field that does not belong to an addition', () => {
      const [first] = whole.additions;
      const more = { ...first, bonus: 1 } as (typeof whole.additions)[0];
      expect(rowOf(([, ...rest]) => [more, ...rest])).toBe('additions[0].bonus');
    });
  });

  it('finds a name that stands twice, of which readers take one or the other', () => {
    const doubled = text.replace('"headline":', '"headline": "rolls", "headline":');
    expect(doubled).not.toBe(text);
    expect(outcome(doubled)).toMatchObject({
      outcome: 'changed',
      changes: [{ path: 'file', words: 'a name stands twice in one object' }],
    });
  });

  it('does not trust a whole seal of a stranger', () => {
    const other = new Uint8Array(32).fill(9);
    const strange = toFileText({
      report,
      seal: makeSeal(report, {
        ...seal,
        publicKey: bytesToHex(ed25519.getPublicKey(other)),
        sign: (bytes) => ed25519.sign(bytes, other),
      }),
      additions: [],
    });
    expect(outcome(strange)).toMatchObject({ outcome: 'unknown-key' });
  });

  it.each(['', 'PK\u0003', '{"report":', '[]', 'null', '{"report":{},"seal":{}}', '7'])(
    'cannot read %p and says where',
    (garbage) => {
      expect(outcome(garbage)).toMatchObject({ outcome: 'unreadable' });
    },
  );

  it('takes a broken key for a bad signature, not for a crash', () => {
    expect(isSignatureGood({ ...seal, key: 'zz' })).toBe(false);
    expect(isSignatureGood({ ...seal, signature: '' })).toBe(false);
  });

  it('finds any one changed character, wherever it is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: text.length - 1 }),
        fc.constantFrom('x', '7', '"', '}', 'é', '\\'),
        (at, letter) => {
          const changed = text.slice(0, at) + letter + text.slice(at + 1);
          fc.pre(changed !== text);
          const result = outcome(changed);
          // White space outside of strings is no part of the report; then it is told as a note.
          if (result.outcome === 'intact') expect(result.notes).not.toEqual([]);
          if (result.outcome === 'changed') expect(result.changes[0].path).not.toBe('');
          if (result.outcome === 'intact')
            expect(toCanonical(result.report)).toBe(toCanonical(report));
        },
      ),
      { numRuns: 250 },
    );
  });
});
