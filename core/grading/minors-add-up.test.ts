import { addUpMinors, markLifted, twoStepPolicy, type Finding, type Policy } from '.';

const finding = (about: string, more: Partial<Finding> = {}): Finding => ({
  kind: 'fault',
  about,
  unitId: '214',
  title: about,
  grade: 'minor',
  blocks: ['tow'],
  chain: [{ code: 'symptom', words: 'repair' }],
  condition: 'Watch it.',
  bars: 'dark',
  mostKmh: 50,
  further: [{ condition: 'Daylight only.' }],
  ...more,
});
const from = (minorsMakeMajor?: number): Policy => ({ ...twoStepPolicy, minorsMakeMajor });
const grades = (
  findings: readonly Finding[],
  policies: readonly Policy[] = [from(3)],
  systemOf: (about: string) => 'brakes' | 'lamps' | undefined = () => 'brakes',
) =>
  addUpMinors(findings, { policiesOf: () => policies, systemOf } as never).map(
    ({ grade }) => grade,
  );

const three = ['a', 'b', 'c'].map((about) => finding(about));

describe('several minors in one class of parts', () => {
  it('are a major from the number that the policy names, and not before', () => {
    expect(grades(three.slice(0, 2))).toEqual(['minor', 'minor']);
    expect(grades(three)).toEqual(['major', 'major', 'major']);
    expect(grades([...three, finding('d')])).toEqual(['major', 'major', 'major', 'major']);
  });

  it('take the road, say why, and leave no condition that could still let it roll', () => {
    const [first] = addUpMinors(three, {
      policiesOf: () => [from(3)],
      systemOf: () => 'brakes',
    } as never);
    expect(first).toEqual({
      kind: 'fault',
      about: 'a',
      unitId: '214',
      title: 'a',
      grade: 'major',
      blocks: ['road'],
      chain: [
        { code: 'symptom', words: 'repair' },
        { code: 'minors-add-up', words: '3' },
      ],
    });
  });

  it('are nothing where no policy counts them, and the strictest policy counts', () => {
    expect(grades(three, [from()])).toEqual(['minor', 'minor', 'minor']);
    expect(grades(three, [])).toEqual(['minor', 'minor', 'minor']);
    expect(grades(three.slice(0, 2), [from(), from(2), from(5)])).toEqual(['major', 'major']);
  });

  it('are counted for each unit and each class by itself', () => {
    expect(grades([...three.slice(0, 2), finding('c', { unitId: '931' })])).not.toContain('major');
    const mixed = (about: string) => (about === 'c' ? 'lamps' : 'brakes');
    expect(grades(three, [from(3)], mixed)).not.toContain('major');
  });

  it('are faults, what is open, and what nobody looked at; not what was never asked or has to be read', () => {
    const gap = (code: string) =>
      finding('c', { kind: 'gap', chain: [{ code: code as 'not-looked', words: '' }] });
    const two = three.slice(0, 2);
    expect(grades([...two, finding('c', { kind: 'known-open' })])).toContain('major');
    expect(grades([...two, gap('not-looked')])).toEqual(['major', 'major', 'major']);
    expect(grades([...two, gap('unanswered')])).not.toContain('major');
    expect(grades([...two, gap('measure-again')])).not.toContain('major');
    expect(grades([...two, finding('c', { kind: 'repair-unread' })])).not.toContain('major');
    expect(grades([...two, finding('c', { kind: 'gap', chain: [] })])).not.toContain('major');
  });

  it('are minors: a note and a major are not counted', () => {
    const two = three.slice(0, 2);
    expect(grades([...two, finding('c', { grade: 'note' })])).toEqual(['minor', 'minor', 'note']);
    expect(grades([...two, finding('c', { grade: 'major' })])).toEqual(['minor', 'minor', 'major']);
  });

  it('count in each class that an unseen part could belong to', () => {
    const unseen = finding('c', {
      kind: 'gap',
      systems: ['lamps', 'brakes'],
      chain: [{ code: 'not-looked', words: '' }],
    });
    expect(grades([...three.slice(0, 2), unseen])).toEqual(['major', 'major', 'major']);
  });
});

describe('what a supervisor lifts', () => {
  const lifted = { by: 'ilka', at: 7, words: 'Seen myself' };
  const lift = (about: string) => (about === 'a' ? lifted : undefined);

  it('is marked on the minor finding that it is about, and on no other', () => {
    expect(markLifted(three, lift).map((each) => each.lifted)).toEqual([
      lifted,
      undefined,
      undefined,
    ]);
  });

  it.each(['note', 'major', 'sound'] as const)('changes nothing of a %s', (grade) => {
    const findings = [finding('a', { grade })];
    expect(markLifted(findings, lift)).toEqual(findings);
  });
});
