import { askToTell, mayTell, ring } from './ring';

const showNotification = jest.fn(() => Promise.resolve());
const vibrate = jest.fn();
let visible: DocumentVisibilityState = 'visible';

class Told {
  static permission: NotificationPermission = 'default';
  static requestPermission = jest.fn(() => {
    Told.permission = 'granted';
    return Promise.resolve(Told.permission);
  });
}

beforeAll(() => {
  Object.defineProperty(document, 'visibilityState', { get: () => visible });
  Object.assign(navigator, {
    vibrate,
    serviceWorker: { ready: Promise.resolve({ showNotification }) },
  });
});
beforeEach(() => {
  visible = 'visible';
  Told.permission = 'default';
  jest.clearAllMocks();
});
afterEach(() => Reflect.deleteProperty(globalThis, 'Notification'));

const canTell = () => Object.assign(globalThis, { Notification: Told });

it('shakes the phone, and shows nothing over a page that is looked at', async () => {
  canTell();
  Told.permission = 'granted';
  ring('Air: ready');
  await Promise.resolve();
  expect(vibrate).toHaveBeenCalledTimes(1);
  expect(showNotification).not.toHaveBeenCalled();
});

it('tells it in the pocket, once the person has allowed it', async () => {
  canTell();
  visible = 'hidden';
  ring('Air: ready');
  await Promise.resolve();
  expect(showNotification).not.toHaveBeenCalled();
  expect(mayTell()).toBe('ask');
  expect(await askToTell()).toBe('yes');
  ring('Air: ready');
  await Promise.resolve();
  expect(showNotification).toHaveBeenCalledWith('Air: ready', { tag: 'clock' });
});

it('knows a phone that may not, and one that cannot', () => {
  expect(mayTell()).toBe('never');
  canTell();
  Told.permission = 'denied';
  expect(mayTell()).toBe('no');
});

it('is quiet where there is neither motor nor worker', () => {
  Object.assign(navigator, { vibrate: undefined, serviceWorker: undefined });
  canTell();
  Told.permission = 'granted';
  visible = 'hidden';
  expect(() => ring('Air: ready')).not.toThrow();
});
