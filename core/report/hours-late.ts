/**
 * How long after it was entered something was sealed, which is as soon as the server had it: what a device without a network
 * brings later counts, and says so.
 * @param enteredAt ISO time, by the clock of the device
 * @param sealedAt ISO time, by the clock of the server
 * @returns whole hours, at least 1; undefined within the first hour
 */
export function hoursLate(enteredAt: string, sealedAt: string): number | undefined {
  const hours = Math.floor((Date.parse(sealedAt) - Date.parse(enteredAt)) / 3_600_000);
  return hours >= 1 ? hours : undefined;
}
