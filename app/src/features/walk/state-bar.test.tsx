import { layOut } from '@nazar/core/vehicle';
import { leftStanding, type VehicleState } from '@nazar/core/walking';
import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { StandSheet, StateBar } from './state-bar';

const unknown: VehicleState = {
  values: { bay: 'closed' },
  air: { psi: 0, since: 0 },
  airAt: Infinity,
  oilAt: Infinity,
  warmAt: Infinity,
};

const layout = layOut({
  airBrakes: true,
  units: [{ id: 'crane', checks: [{ id: 'crane.cycle', needs: ['outriggers-set'] }] }],
});

const barOf = (state: VehicleState) => {
  render(<StateBar state={state} onOpen={() => undefined} />);
  return screen.getByTestId('state-bar').getAttribute('aria-label');
};

it('guesses nothing that nobody has said', () => {
  expect(barOf(unknown)).toMatch(/Engine not said, Brake not said, Chocks not said, Air not said/);
});

it('says how it stands', () => {
  const state = { ...unknown, values: { engine: 'idling', brake: 'set', chocks: 'in' } };
  expect(barOf({ ...state, airAt: Date.now() + 60_000 })).toMatch(
    /Engine on, Brake set, Chocks in, Air builds/,
  );
});

it('has air once its clock has run down', () => {
  expect(barOf({ ...unknown, airAt: Date.now() - 1 })).toMatch(/Air up/);
});

describe('what can be done', () => {
  const show = (state: VehicleState) => {
    const onChange = jest.fn();
    const onFound = jest.fn();
    render(
      <StandSheet
        state={state}
        layout={layout}
        leftOut={leftStanding(state, layout, 'pre-trip')}
        numberOf={() => '241'}
        onChange={onChange}
        onFound={onFound}
        onClose={() => undefined}
      />,
    );
    const names = screen.getAllByRole('button').map(({ textContent }) => textContent);
    return { onChange, onFound, names };
  };

  it('is both of what nobody has said', () => {
    const { names } = show(unknown);
    for (const name of [
      'Start the engine',
      'Shut the engine off',
      'Set the parking brake',
      'Let the parking brake off',
      'Set the chocks',
      'Take the chocks away',
    ])
      expect(names).toContain(name);
  });

  it('is the other of what was said, once', () => {
    const { names, onChange } = show({
      ...unknown,
      values: {
        engine: 'idling',
        brake: 'set',
        chocks: 'in',
        bay: 'open',
        'outriggers crane': 'set',
      },
    });
    expect(names).toContain('Bring the outriggers in · 241');
    expect(names).not.toContain('Start the engine');
    expect(names).not.toContain('Set the chocks');
    expect(names.filter((name) => name === 'Close and latch the hood')).toHaveLength(1);
    fireEvent.click(screen.getByRole('button', { name: 'Shut the engine off' }));
    expect(onChange).toHaveBeenCalledWith('shut-down');
  });

  it('is to say that it stands otherwise: found so, not done', () => {
    const { onFound, onChange } = show({ ...unknown, values: { bay: 'closed', brake: 'set' } });
    fireEvent.click(screen.getByTestId('otherwise'));
    // How it is taken to stand is no news.
    expect(screen.queryByRole('button', { name: 'The parking brake is set' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Outriggers are out · 241' }));
    expect(onFound).toHaveBeenCalledWith('outriggers', 'crane');
    expect(onChange).not.toHaveBeenCalled();
  });
});
