import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { SessionsList } from './sessions-list';

const mockEnded: string[] = [];
let mockLoaded: object;
const mockReload = jest.fn();
jest.mock('@/state', () => ({
  ApiProblem: class extends Error {},
  endSession: (id: string) => {
    mockEnded.push(id);
    return Promise.resolve();
  },
  useSessions: () => ({ trouble: undefined, reload: mockReload, ...mockLoaded }),
}));

it('names this device, and ends another one', async () => {
  mockLoaded = {
    value: [
      { id: 'a', device: 'Android', openedAt: '2026-11-27T05:00:00.000Z', here: true },
      { id: 'b', device: '', openedAt: '2026-11-26T05:00:00.000Z', here: false },
    ],
  };
  render(<SessionsList />);
  expect(screen.getByText(/^Android, .*\(this one\)$/)).toBeTruthy();
  const buttons = screen.getAllByRole('button');
  expect(buttons.map((each) => each.getAttribute('aria-label'))).toEqual([
    expect.stringMatching(/^Sign out A device, /),
  ]);
  await act(async () => {
    fireEvent.click(buttons[0]);
  });
  expect(mockEnded).toEqual(['b']);
  expect(mockReload).toHaveBeenCalled();
});

it('says that it needs a network', () => {
  mockLoaded = { trouble: 'offline' };
  render(<SessionsList />);
  expect(screen.getByText(/seen with a network/)).toBeTruthy();
});
