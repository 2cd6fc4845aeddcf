import type { Signature } from '@nazar/core/inspection';
import type { Chance } from './chance';

/** A made-up hand: a few looping strokes. */
export function drawSignature(name: string, chance: Chance): Signature {
  const strokes = name.split(' ').map((word, index) => {
    const points: number[] = [];
    for (let step = 0; step <= word.length * 6; step += 1) {
      const x = 60 + index * 420 + step * (330 / (word.length * 6));
      const y = 200 + Math.sin(step * 1.1) * 70 + chance.about(0, 12);
      points.push(Math.round(x), Math.round(Math.min(380, Math.max(20, y))));
    }
    return points;
  });
  return { name, strokes };
}
