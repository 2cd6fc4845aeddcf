const begun = Date.now();

/** One line of progress with the seconds since the start. */
export function say(text) {
  process.stdout.write(`[${((Date.now() - begun) / 1000).toFixed(1).padStart(5)} s] ${text}\n`);
}
