import type { SpecificationField } from '../types';

/** What limits and joints of the truck ask of its own card. */
export const truckSpecification: SpecificationField[] = [
  { id: 'coldPressureSteer', title: 'Cold pressure, steer axle', kind: 'pressure', required: true },
  { id: 'coldPressureDrive', title: 'Cold pressure, drive axle', kind: 'pressure', required: true },
  { id: 'treadNewSteer', title: 'Tread when new, steer axle', kind: 'depth' },
  { id: 'treadNewDrive', title: 'Tread when new, drive axle', kind: 'depth' },
  { id: 'chargeVoltageLow', title: 'Charging voltage, lowest', kind: 'voltage', required: true },
  { id: 'chargeVoltageHigh', title: 'Charging voltage, highest', kind: 'voltage', required: true },
  {
    id: 'steeringFreePlay',
    title: 'Free play at the steering wheel',
    kind: 'angle',
    required: true,
  },
  {
    id: 'governorCutOutHigh',
    title: 'Governor cuts out, highest',
    kind: 'pressure',
    required: true,
  },
  { id: 'governorCutOutLow', title: 'Governor cuts out, lowest', kind: 'pressure', required: true },
  { id: 'governorCutInLow', title: 'Governor cuts in, lowest', kind: 'pressure', required: true },
  { id: 'lowPressureWarning', title: 'Low-pressure warning', kind: 'pressure', required: true },
  { id: 'massEmpty', title: 'Mass, empty', kind: 'mass' },
  { id: 'massGross', title: 'Mass, rated gross', kind: 'mass' },
  { id: 'towRating', title: 'Rating of the coupling', kind: 'mass' },
  { id: 'hookHeight', title: 'Height of the coupling', kind: 'length' },
  { id: 'socketVolts', title: 'Voltage of the trailer socket', kind: 'voltage' },
  { id: 'socketPins', title: 'Pins of the trailer socket', kind: 'count' },
];
