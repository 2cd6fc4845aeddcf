import { fireEvent, render, screen } from '@testing-library/react';
import '@/i18n';
import { ReportScreen } from './report-screen';

let mockFile: { value?: unknown; trouble?: unknown };
let mockWaiting = 0;
let mockLog: readonly { type: string }[] | undefined;
const mockWanted: boolean[] = [];
jest.mock('./report-body', () => ({ ReportBody: () => 'everything that it says' }));
jest.mock('@/state', () => {
  const useLog = (of: (state: unknown) => unknown) =>
    of({ logs: new Map(mockLog ? [['report', mockLog]] : []) });
  useLog.getState = () => ({ load: () => Promise.resolve() });
  return {
    useLog,
    useSession: (of: (state: unknown) => unknown) => of({ person: { id: 'driver' } }),
    useSync: (of: (state: unknown) => unknown) => of({ waiting: mockWaiting }),
    useReport: (_id: string, wanted: boolean) => {
      mockWanted.push(wanted);
      return mockFile;
    },
  };
});

const report = (more: object = {}, additions: readonly string[] = []) => ({
  value: {
    report: {
      inspection: 'walk',
      phase: 'pre-trip',
      driver: { id: 'driver', name: 'Ivo Stamm' },
      units: [{ number: '214' }],
      verdict: { headline: 'limits', shown: 'limits' },
      ...more,
    },
    additions: additions.map((kind) => ({ addition: { kind } })),
  },
});
const show = (file: typeof mockFile, waiting = 0, log?: typeof mockLog) => {
  mockFile = file;
  mockWaiting = waiting;
  mockLog = log;
  mockWanted.length = 0;
  const on = {
    onVerify: jest.fn(),
    onToday: jest.fn(),
    onOther: jest.fn(),
    onLeave: jest.fn(),
  };
  render(<ReportScreen reportId="report" {...on} />);
  return on;
};

it('says that a walk signed here waits for the network, and does not ask before its last entry left', () => {
  show({}, 3, [{ type: 'begun' }, { type: 'signed' }]);
  expect(screen.getByText(/sealed|sent|network/i)).toBeTruthy();
  expect(mockWanted).toEqual(expect.arrayContaining([false]));
  expect(screen.queryByText('everything that it says')).toBeNull();
});

it('lets its own driver sign out on it before work', () => {
  const on = show(report());
  fireEvent.click(screen.getByRole('button', { name: 'Sign out' }));
  expect(on.onLeave).toHaveBeenCalledWith('walk');
});

it.each([
  ['of somebody else', { driver: { id: 'other', name: 'Runa' } }, []],
  ['of a walk after work', { phase: 'post-trip' }, []],
  ['of a rig that is back', {}, ['signed-out', 'returned']],
])('offers no sign-out on a report %s', (_, more, additions) => {
  show(report(more, additions));
  expect(screen.getByText('everything that it says')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Sign out' })).toBeNull();
});

it('says where the phone had shown a milder verdict than the sealed one', () => {
  show(report({ verdict: { headline: 'stays', shown: 'rolls' } }));
  expect(screen.getByText(/phone|shown/i)).toBeTruthy();
});

it('leads from one unit of the rig to the report of another', () => {
  const rig = {
    headline: 'limits',
    units: [
      { id: 'a', number: '214', title: 'flatbed truck', report: 'report' },
      { id: 'b', number: '931', title: 'tag trailer', report: 'second' },
    ],
  };
  const on = show(report({ rig }));
  fireEvent.click(screen.getByRole('button', { name: '931 tag trailer' }));
  expect(on.onOther).toHaveBeenCalledWith('second');
});

it('lets its own driver return a rig that is out', () => {
  const on = show(report({}, ['signed-out']));
  fireEvent.click(screen.getByRole('button', { name: 'Return it' }));
  expect(on.onLeave).toHaveBeenCalledWith('walk');
});
