/** Letters and digits that are told apart when they are called across a yard. */
export const CODE_LETTERS = 'ACDEFHJKLMNPRTUVWXY3479';
const LENGTH = 5;

/**
 * The code by which a helper finds a walk: five letters from the part of its id that is chance. Whoever is told it stands
 * near the driver.
 */
export function helperCode(inspectionId: string): string {
  let rest = Number.parseInt(inspectionId.replaceAll('-', '').slice(-10), 16);
  let code = '';
  for (let index = 0; index < LENGTH; index += 1) {
    code += CODE_LETTERS[rest % CODE_LETTERS.length];
    rest = Math.floor(rest / CODE_LETTERS.length);
  }
  return code;
}

/** A code as somebody types it: small letters, blanks, and the letters that are never used read as what they look like. */
export function readCode(typed: string): string {
  return typed
    .toUpperCase()
    .replace(/[^A-Z0-9]/g, '')
    .replace(/[0OQ]/g, 'D')
    .replace(/[1I]/g, 'L')
    .replace(/8|B/g, '3')
    .replace(/2|Z/g, '7')
    .replace(/5|S/g, '9')
    .replace(/6|G/g, 'C');
}

/** What the square on a tag says: which unit and stop, and the code that stands beside it. */
export function tagText(zone: string, code: string): string {
  return `nazar-tag/1/${zone}/${code}`;
}

/** Reads what a camera saw; undefined when it is no tag of ours. */
export function readTagText(
  text: string,
): { readonly zone: string; readonly code: string } | undefined {
  const found = /^nazar-tag\/1\/([0-9a-f-]{36}\/[\w.-]{1,60})\/([A-Z0-9]{6})$/.exec(text);
  return found ? { zone: found[1], code: found[2] } : undefined;
}
