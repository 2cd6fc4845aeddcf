/** The same content gives the same text, whatever the order in which it was written. */
export function toText(value: unknown): string {
  const text = JSON.stringify(value, (_, each: unknown) =>
    typeof each === 'object' && each !== null && !Array.isArray(each)
      ? Object.fromEntries(Object.entries(each).sort(([a], [b]) => (a < b ? -1 : 1)))
      : each,
  ) as string | undefined;
  return text ?? '';
}
