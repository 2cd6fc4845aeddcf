import type { Verification } from '@nazar/core/seal';
import { act, fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { VerifyScreen } from './verify-screen';

let mockResult: Verification;
let mockText: () => Promise<string>;
jest.mock('@nazar/core/seal', () => ({ verifyReport: () => mockResult }));
jest.mock('@/state', () => ({
  loadSealKeys: () => Promise.resolve([]),
  loadReportText: () => mockText(),
}));

const show = async (result: Verification, text: () => Promise<string> = async () => '{}') => {
  mockResult = result;
  mockText = text;
  render(<VerifyScreen reportId="report" onBack={jest.fn()} />);
  await act(async () => undefined);
};

it('names each thing that was changed, and never calls the file intact', async () => {
  await show({
    outcome: 'changed',
    changes: [{ path: 'defects[0].grade', words: 'minor stands where the seal has major' }],
  } as Verification);
  expect(screen.getByText('defects[0].grade')).toBeTruthy();
  expect(screen.getByText('minor stands where the seal has major')).toBeTruthy();
  expect(screen.queryByText('Intact')).toBeNull();
});

it('says so when the key is none of ours', async () => {
  await show({ outcome: 'unknown-key', key: 'f00d' } as Verification);
  expect(screen.getByText(/f00d/)).toBeTruthy();
});

it('says where a file cannot be read', async () => {
  await show({ outcome: 'unreadable', where: 'line 3' });
  expect(screen.getByText('line 3')).toBeTruthy();
});

it('says that a report is not on this phone where it cannot be loaded, and is no proof of anything', async () => {
  await show({ outcome: 'unreadable', where: '' }, () => Promise.reject(new Error('away')));
  expect(screen.queryByText('Intact')).toBeNull();
  expect(screen.getAllByText(/not/i, { selector: '[aria-live] *' }).length).toBeGreaterThan(0);
});

it('refuses a file that is far too large without reading it', async () => {
  await show({ outcome: 'unreadable', where: 'x' });
  const file = new File(['x'], 'huge.json');
  Object.defineProperty(file, 'size', { value: 21 * 1024 * 1024 });
  const text = jest.fn();
  Object.defineProperty(file, 'text', { value: text });
  await act(async () =>
    fireEvent.change(screen.getByTestId('report-input'), { target: { files: [file] } }),
  );
  expect(text).not.toHaveBeenCalled();
  expect(screen.getByText('huge.json')).toBeTruthy();
});
