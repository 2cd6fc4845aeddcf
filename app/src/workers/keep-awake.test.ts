import { keepAwake } from './keep-awake';

const soon = () => new Promise((done) => setTimeout(done, 0));
const navigatorWith = (wakeLock: unknown) =>
  Object.defineProperty(navigator, 'wakeLock', { value: wakeLock, configurable: true });

it('asks again when the page comes back, and lets go at the end', async () => {
  const release = jest.fn(() => Promise.resolve());
  const request = jest.fn(() => Promise.resolve({ release }));
  navigatorWith({ request });
  const refused = jest.fn();
  const over = keepAwake(refused);
  await soon();
  document.dispatchEvent(new Event('visibilitychange'));
  await soon();
  expect(request).toHaveBeenCalledTimes(2);
  over();
  await soon();
  expect(release).toHaveBeenCalled();
  document.dispatchEvent(new Event('visibilitychange'));
  expect(request).toHaveBeenCalledTimes(2);
  expect(refused).not.toHaveBeenCalled();
});

it('says so where the phone does not do it', async () => {
  const refused = jest.fn();
  navigatorWith(undefined);
  keepAwake(refused)();
  expect(refused).toHaveBeenCalledTimes(1);
  navigatorWith({ request: () => Promise.reject(new Error('saving power')) });
  const over = keepAwake(refused);
  await soon();
  expect(refused).toHaveBeenCalledTimes(2);
  over();
});
