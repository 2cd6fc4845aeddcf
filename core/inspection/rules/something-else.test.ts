import fc from 'fast-check';
import { anyCheck, anyMoment, expectNoMilder, fault, rigKnown, walked } from '../../testing/walked';

describe('something that no list names, in a walk', () => {
  it('weighs as the worst of its check until the six questions are answered', () => {
    fc.assert(
      fc.property(anyCheck, anyMoment, ([name, { key, check }], moment) => {
        const rig = rigKnown(name);
        const open = walked(
          rig,
          new Map([
            [key, fault('something-else', { note: 'It rattles', other: { stops: false } })],
          ]),
          moment,
        );
        for (const { id } of check.symptoms)
          expectNoMilder(
            rig,
            open,
            walked(rig, new Map([[key, fault(id)]]), moment),
            `${key} ${id}`,
          );
      }),
      { numRuns: 60 },
    );
  });

  it('weighs as what was said too, while others are open', () => {
    const rig = rigKnown('truck');
    const { key } = rig.instances.find(({ check }) => check.id === 'truck.lamp.side') ?? {
      key: '',
    };
    const hangs = fault('something-else', { note: 'It hangs', other: { hangs: true } });
    expect(
      walked(rig, new Map([[key, hangs]]), { policy: 'two-step' }).assessment.verdict.headline,
    ).toBe('stays');
  });

  it('weighs as what was said, once they are', () => {
    const rig = rigKnown('truck');
    const { key } = rig.instances.find(({ check }) => check.id === 'truck.cab.horn') ?? { key: '' };
    const say = (more: object) =>
      walked(
        rig,
        new Map([
          [
            key,
            fault('something-else', {
              note: 'It sounds like a goose',
              other: {
                stops: false,
                steers: false,
                holds: false,
                leaks: false,
                hangs: false,
                hides: false,
                ...more,
              },
            }),
          ],
        ]),
        { policy: 'two-step' },
      ).assessment.verdict.headline;
    expect(say({})).toBe('limits');
    expect(say({ hangs: true })).toBe('stays');
  });
});
