import { useState } from 'react';

/** The moment at which a part of the screen was first drawn, milliseconds since 1970; it does not run on. */
export function useNow(): number {
  return useState(() => Date.now())[0];
}
