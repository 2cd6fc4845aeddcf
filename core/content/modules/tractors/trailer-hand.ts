import { check, faultsOf, moved } from '../../write';
import type { Check } from '../../../catalogue';

/** The hand valve brakes the trailer alone: a tug against it proves coupling and trailer brakes at once. */
export const trailerHandCheck = (P: string): Check =>
  check({
    id: `${P}.brake.trailer-hand`,
    title: 'Tug against the hand valve of the trailer',
    partName: 'Trailer hand valve',
    zone: 'brake-tests',
    method: 'operate',
    moves: moved('rolling', 'rolling', ['tow'], { held: 'tested-brake', ends: 'brake set' }),
    needs: ['rolls', 'air-charged', 'area-clear', 'parking-brake-released'],
    seconds: 12,
    criterion: 'Trailer holds.',
    symptoms: [faultsOf('brakes', ['tow']).stops('hand-dead', 'Trailer does not hold')],
    why: 'It proves coupling and trailer brakes at once.',
  });
