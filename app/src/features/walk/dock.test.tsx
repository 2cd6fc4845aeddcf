import type { InstanceAssessment } from '@nazar/core/inspection';
import { driver, instanceOf, measuredOf } from '@nazar/core/testing';
import { fireEvent, render, screen } from '@testing-library/react';
import type { ComponentProps } from 'react';
import '@/i18n';
import { walkOf } from '../../../testing/walk';
import { Dock } from './dock';

type DockProps = ComponentProps<typeof Dock>;

const walk = walkOf();
const assessedOf = (ending: string, of = walk): InstanceAssessment => {
  const assessed = of.assessment.byKey.get(instanceOf(of.rig, ending).key);
  if (!assessed) throw new Error(`${ending} is not asked.`);
  return assessed;
};

function show(change: Partial<DockProps> = {}) {
  const on = {
    onReadStop: jest.fn(),
    onStep: jest.fn(),
    onOpenStep: jest.fn(),
    onElsewhere: jest.fn(),
    onLeaveOut: jest.fn(),
    onOffer: jest.fn(),
    onSound: jest.fn(),
    onFault: jest.fn(),
    onCannot: jest.fn(),
    onMeasure: jest.fn(),
    onTakeBack: jest.fn(),
    onStillThere: jest.fn(),
    onLooksRepaired: jest.fn(),
  };
  const go = jest.fn();
  render(
    <Dock
      assessed={assessedOf('truck.wheel.nuts/steer-left')}
      hasDraft={false}
      step={undefined}
      forbidden={undefined}
      rest={<>the rest</>}
      stopCautions={[]}
      whole={false}
      offers={[]}
      onward={{ to: 'check', title: 'Next', go }}
      {...on}
      {...change}
    />,
  );
  return { ...on, go };
}

const touch = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const isThere = (name: string) => screen.queryByRole('button', { name }) !== null;

it('asks for sound, fault or could not look, and lets the rest be answered', () => {
  const on = show();
  touch('Sound');
  touch('Fault');
  touch('Could not look');
  for (const call of [on.onSound, on.onFault, on.onCannot]) expect(call).toHaveBeenCalledTimes(1);
  expect(screen.getByText('the rest')).toBeTruthy();
});

it('does not let be called sound what must be measured', () => {
  const on = show({ assessed: assessedOf('truck.tyre.tread-steer/steer-left') });
  expect(isThere('Sound')).toBe(false);
  touch('Measure');
  expect(on.onMeasure).toHaveBeenCalled();
});

it('asks again for what is too close to its limit to tell', () => {
  const close = walkOf((log, rig) => {
    const { key } = instanceOf(rig, 'truck.tyre.tread-steer/steer-left');
    log.add('measured', measuredOf(key, 4, '32nds'), driver);
  });
  const assessed = assessedOf('truck.tyre.tread-steer/steer-left', close);
  expect(assessed.state).toBe('again');
  show({ assessed });
  expect(isThere('Sound')).toBe(false);
  expect(isThere('Measure again')).toBe(true);
});

it('puts what comes first before any answer, and what is forbidden before that', () => {
  show({ step: { kind: 'do', change: 'chocks-in' } });
  expect(isThere('Sound')).toBe(false);
  expect(isThere('Chocks are in')).toBe(true);
  expect(screen.queryByText('the rest')).toBeNull();
});

it('leaves out what must not be made, with the fault that forbids it', () => {
  const because = assessedOf('truck.wheel.nuts/steer-left');
  const on = show({
    step: { kind: 'do', change: 'chocks-in' },
    forbidden: { rule: 'wheel', because } as unknown as DockProps['forbidden'],
  });
  expect(isThere('Chocks are in')).toBe(false);
  fireEvent.click(screen.getByTestId('leave-out'));
  const [[reason]] = on.onLeaveOut.mock.calls;
  expect(reason).toContain('Wheel nuts, left steer: ');
});

it('shows what was answered, how to take it back, and where to go on', () => {
  const answered = walkOf((log, rig) => {
    const { key } = instanceOf(rig, 'truck.wheel.nuts/steer-left');
    log.add('answered', { key, outcome: 'sound' }, driver);
  });
  const on = show({ assessed: assessedOf('truck.wheel.nuts/steer-left', answered) });
  expect(isThere('Sound')).toBe(false);
  touch('Take back');
  fireEvent.click(screen.getByTestId('next-check'));
  expect(on.onTakeBack).toHaveBeenCalled();
  expect(on.go).toHaveBeenCalled();
});

it('offers what the vehicle may ask for here', () => {
  const on = show({ offers: ['clean-exhaust'] });
  touch('Begin the parked cleaning of the exhaust');
  expect(on.onOffer).toHaveBeenCalledWith('clean-exhaust');
});

it('asks the helper, and says that it is asked', () => {
  const ask = jest.fn();
  show({ asks: { name: 'Petra Lunde', asked: false, ask } });
  touch(/Petra Lunde/);
  expect(ask).toHaveBeenCalled();
});

it('has no way to call a cycle sound but to step through it', () => {
  const onPlay = jest.fn();
  show({ onPlay });
  expect(isThere('Sound')).toBe(false);
  fireEvent.click(screen.getByTestId('play'));
  expect(onPlay).toHaveBeenCalled();
});

it('puts what can kill before what is looked for, and the rest after it', () => {
  const assessed = assessedOf('truck.air.leak-released');
  show({ assessed, stopCautions: [{ signal: 'WARNING', words: 'Of the stop.' }] });
  const words = screen.getByTestId('dock').textContent;
  const at = (part: string) => {
    const place = words.indexOf(part);
    expect(place).toBeGreaterThanOrEqual(0);
    return place;
  };
  const { title, criterion, cautions } = assessed.instance.check;
  expect(at('Of the stop.')).toBeLessThan(at(title));
  expect(at(cautions[0].words)).toBeLessThan(at(criterion));
});

it('asks of an open defect whether it is still there, and does not let it be called sound in one touch', () => {
  const on = show({ known: 'Mud flap torn' });
  expect(isThere('Sound')).toBe(false);
  touch('Still there');
  expect(on.onStillThere).toHaveBeenCalledTimes(1);
  touch('Looks repaired');
  expect(on.onLooksRepaired).toHaveBeenCalledTimes(1);
  expect(screen.getByText(/stays open until the workshop has certified it/)).toBeTruthy();
  // Another fault of the same check can be named all the same.
  touch('Fault');
  expect(on.onFault).toHaveBeenCalledTimes(1);
});

it('asks for the number beside a fault that was named without it', () => {
  const tread = assessedOf('truck.tyre.tread-steer/steer-left');
  const on = show({ assessed: { ...tread, state: 'major', asksReading: true } });
  expect(screen.getByRole('alert').textContent).toMatch(/wanted beside the fault/);
  fireEvent.click(screen.getByTestId('measure-beside'));
  expect(on.onMeasure).toHaveBeenCalled();
});
