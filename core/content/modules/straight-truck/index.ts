import type { Module } from '../../../catalogue';
import { module } from '../../write';
import { chassisSpecification, ofChassis } from '../../chassis';
import { HEIGHT, LENGTH, WIDTH, gear, places, shapes, zones } from './measures';

export const straightTruck: Module = module({
  id: 'straight-truck-air',
  title: 'Straight truck, air brakes',
  build: 'chassis',
  vehicleClass: 'goods',
  powered: true,
  airBrakes: true,
  length: LENGTH,
  width: WIDTH,
  height: HEIGHT,
  capabilities: ['road', 'tow'],
  joints: { rear: { sort: 'pintle', x: LENGTH } },
  mounts: [
    { sort: 'front-hitch', x: 0 },
    { sort: 'front-bumper', x: 0 },
    { sort: 'side-wing', x: 3.2, y: 1.25 },
    { sort: 'transmission', x: 2.2 },
    { sort: 'underbody', x: 4.2 },
    { sort: 'behind-cab', x: 2.95 },
    { sort: 'body', x: 4.1 },
    { sort: 'rear-gate', x: LENGTH },
  ],
  gives: ['air-lines', 'electrical-socket', 'charging-lead', 'warning-lamps'],
  specification: chassisSpecification,
  zones,
  runningGear: gear,
  places,
  shapes,
  ...ofChassis('truck'),
});
