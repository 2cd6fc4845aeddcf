/** What stands on the card of a unit, and what follows from it: wheels, figures at a wheel, loads of a chart, what cannot be. */
export { figuresAt } from './figures';
export { findCardFaults, isWhole } from './card-faults';
export { findOutOfDate } from './dated';
export { ratedLoad, type Rated } from './chart';
export { sortsOfWheels, wheelPlaces, wheelShapes, wheelStops } from './wheels';
