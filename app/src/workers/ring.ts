/** Whether this phone may tell something while it is in the pocket. */
export type Telling = 'yes' | 'no' | 'ask' | 'never';

export function mayTell(): Telling {
  if (typeof Notification === 'undefined') return 'never';
  return Notification.permission === 'granted'
    ? 'yes'
    : Notification.permission === 'denied'
      ? 'no'
      : 'ask';
}

/** Asks for it; only ever at a touch of the person. */
export async function askToTell(): Promise<Telling> {
  await Notification.requestPermission();
  return mayTell();
}

let sound: AudioContext | undefined;

/** Vibration, two tones, and where the page is out of sight a notification: a clock has ended. */
export function ring(words: string): void {
  navigator.vibrate?.([300, 120, 300]);
  beep();
  if (document.visibilityState === 'visible' || mayTell() !== 'yes') return;
  void navigator.serviceWorker?.ready
    .then((worker) => worker.showNotification(words, { tag: 'clock' }))
    .catch(() => new Notification(words, { tag: 'clock' }));
}

function beep(): void {
  if (typeof AudioContext === 'undefined') return;
  sound ??= new AudioContext();
  const { currentTime } = sound;
  for (const [at, pitch] of [
    [0, 880],
    [0.25, 1175],
  ]) {
    const tone = sound.createOscillator();
    const volume = sound.createGain();
    tone.frequency.value = pitch;
    volume.gain.setValueAtTime(0.4, currentTime + at);
    volume.gain.exponentialRampToValueAtTime(0.001, currentTime + at + 0.22);
    tone.connect(volume).connect(sound.destination);
    tone.start(currentTime + at);
    tone.stop(currentTime + at + 0.24);
  }
}
