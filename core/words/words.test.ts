import { Refusal, say, type Message } from '.';

const kilograms = (si: number) => ({ si, kind: 'mass' as const });

it.each<[Message, string]>([
  [{ code: 'unit-twice' }, 'The same unit stands twice in the rig.'],
  [
    { code: 'lacks-supplies', unit: '614', other: '214', supplies: ['hydraulics', 'air'] },
    'Unit 614 needs what unit 214 does not give: hydraulics, air.',
  ],
  [
    {
      code: 'overloaded',
      unit: '226',
      rated: kilograms(15_000),
      aboard: ['614', '651'],
      full: kilograms(16_400),
    },
    '226 may weigh 15000 kg, and with 614, 651 full it would weigh 16400 kg.',
  ],
  [
    {
      code: 'rules-contradict',
      ring: [
        { first: 'the belt', then: 'the seat', rule: 'stopping' },
        { first: 'the seat', then: 'the belt', rule: 'hand' },
      ],
    },
    'No order keeps all the rules: the belt before the seat, because what decides that it can stop comes before it rolls; and the seat before the belt, because your own order says so. Change one of them.',
  ],
])('says %j', (message, words) => {
  expect(say(message, 'metric')).toBe(words);
});

it('says amounts in the reader’s units', () => {
  const message: Message = {
    code: 'height',
    unit: '214',
    other: '931',
    eye: { si: 0.95, kind: 'length' },
    hook: { si: 0.82, kind: 'length' },
  };
  expect(say(message, 'metric')).toBe('931 couples at 0.95 m and 214 at 0.82 m.');
  expect(say(message, 'customary')).toBe('931 couples at 3.1 ft and 214 at 2.7 ft.');
});

it('is thrown with its code, for whoever says it in other words', () => {
  const refusal = new Refusal({ code: 'driven-not-towed', unit: '214' });
  expect(refusal.says).toEqual({ code: 'driven-not-towed', unit: '214' });
  expect(refusal).toBeInstanceOf(RangeError);
  expect(refusal.message).toContain('214');
});
