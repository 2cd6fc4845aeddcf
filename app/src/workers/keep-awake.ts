interface Lock {
  release: () => Promise<void>;
}

/**
 * Keeps the screen lit until the returned function is called. A browser lets go of it whenever the page is out of sight, so it is
 * asked again when it comes back.
 * @param onRefused where the phone does not do it
 */
export function keepAwake(onRefused: () => void): () => void {
  const { wakeLock } = navigator as { wakeLock?: { request: (type: 'screen') => Promise<Lock> } };
  if (!wakeLock) {
    onRefused();
    return () => undefined;
  }
  let lock: Lock | undefined;
  let over = false;
  const hold = async () => {
    if (over || document.visibilityState !== 'visible') return;
    try {
      const held = await wakeLock.request('screen');
      if (over) await held.release();
      else lock = held;
    } catch {
      // Saving power, or out of sight at this moment.
      if (!over && document.visibilityState === 'visible') onRefused();
    }
  };
  const again = () => void hold();
  void hold();
  document.addEventListener('visibilitychange', again);
  return () => {
    over = true;
    document.removeEventListener('visibilitychange', again);
    void lock?.release();
  };
}
