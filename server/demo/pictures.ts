import sharp from 'sharp';
import type { Chance } from './chance';

/** A made-up photograph: a worn surface under a hand lamp, with a mark where the fault is. */
export function makePicture(chance: Chance): Promise<Buffer> {
  const spots = Array.from({ length: 60 }, () => {
    const radius = chance.whole(3, 26);
    const grey = chance.whole(20, 90);
    return `<circle cx="${chance.whole(0, 1200)}" cy="${chance.whole(0, 900)}" r="${radius}" fill="rgb(${grey},${grey - 6},${grey - 12})" opacity="0.5"/>`;
  }).join('');
  const crack = Array.from({ length: 9 }, (_, index) => {
    const x = 360 + index * 60;
    return `${index === 0 ? 'M' : 'L'} ${x} ${430 + chance.whole(-60, 60)}`;
  }).join(' ');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900">
    <defs><radialGradient id="lamp" cx="0.5" cy="0.5" r="0.6">
      <stop offset="0" stop-color="#fff3d0" stop-opacity="0.75"/><stop offset="1" stop-color="#000" stop-opacity="0.55"/>
    </radialGradient></defs>
    <rect width="1200" height="900" fill="#575b5e"/>${spots}
    <rect x="180" y="240" width="840" height="380" rx="60" fill="#3a3d40"/>
    <path d="${crack}" stroke="#0d0e0f" stroke-width="9" fill="none"/>
    <rect width="1200" height="900" fill="url(#lamp)"/>
  </svg>`;
  return sharp(Buffer.from(svg)).jpeg({ quality: 80 }).toBuffer();
}
