/** Keeps the app's files on the device, so that it opens without a network after the first visit. */
export function keepAppOffline(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  void navigator.serviceWorker.register('/service-worker.js');
  // Asks the browser not to throw entries away when room gets short.
  void navigator.storage?.persist?.();
}
