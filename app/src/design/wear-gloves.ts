/** Two touches closer than this are one thick finger, milliseconds. */
const ONE_TOUCH = 400;

/**
 * Glove mode for the whole app: larger targets with more room between them (see global.css), and a touch that counts once.
 * @returns takes the gloves off
 */
export function wearGloves(on: boolean): () => void {
  const { classList } = document.documentElement;
  classList.toggle('gloves', on);
  if (!on) return () => undefined;
  let last = -Infinity;
  const once = (event: MouseEvent) => {
    // A key that is pressed clicks too, and is meant each time.
    if (event.detail === 0) return;
    const again = event.timeStamp - last < ONE_TOUCH;
    if (again) {
      event.stopImmediatePropagation();
      event.preventDefault();
    } else last = event.timeStamp;
  };
  document.addEventListener('click', once, true);
  return () => {
    document.removeEventListener('click', once, true);
    classList.remove('gloves');
  };
}
