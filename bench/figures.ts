/** Median, and the value under which 95 of 100 lie. */
export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];
}

export const median = (values: readonly number[]): number => percentile(values, 0.5);

/** One line of the table: what, measured, aim. */
export function print(what: string, measured: string, aim = ''): void {
  process.stdout.write(`${what.padEnd(58)} ${measured.padStart(26)}  ${aim}\n`);
}

export const heading = (text: string): void => void process.stdout.write(`\n${text}\n`);
