import type { Check } from '../../catalogue';
import { check, symptom } from '../write';
import { lampOut } from './lamps';

export function plateCheck(prefix: string, zone: string): Check {
  return check({
    id: `${prefix}.lamp.plate`,
    title: 'Look at plate and plate lamp',
    partName: 'Plate and plate lamp',
    zone,
    method: 'look',
    needs: ['lamps-on'],
    seconds: 4,
    criterion: 'Plate legible, lamp lit.',
    source: '49 CFR 393.11',
    symptoms: [
      lampOut('Plate lamp out', { by: 'plate' }),
      symptom('plate-unreadable', 'Plate missing or bent', 'records', 'repair'),
      symptom('plate-dirty', 'Plate too dirty to be read', 'records', 'repair'),
    ],
    fixes: { 'plate-dirty': ['Wipe the plate'] },
    why: 'A plate that cannot be read gets you stopped.',
  });
}

export function underrideCheck(prefix: string, zone: string): Check {
  return check({
    id: `${prefix}.frame.underride`,
    title: 'Shake the rear guard',
    partName: 'Rear guard',
    zone,
    method: 'shake',
    needs: ['gloves'],
    seconds: 6,
    criterion: 'Firm, straight, at its height.',
    source: '49 CFR 393.86',
    symptoms: [
      symptom('guard-loose', 'Loose or cracked', 'frame', 'stop'),
      symptom('guard-bent', 'Bent, still firm', 'frame', 'repair'),
    ],
    why: 'It keeps a car from going under.',
  });
}
