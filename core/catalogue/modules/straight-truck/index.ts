import type { Module } from '../../types';
import { brakeTestChecks } from './brake-tests';
import { cabChecks } from './cab';
import { engineBayChecks } from './engine-bay';
import { HEIGHT, LENGTH, WIDTH, places, shapes, zones } from './measures';
import { outsideChecks } from './outside';

export const straightTruck: Module = {
  id: 'straight-truck-air',
  title: 'Straight truck, air brakes',
  powered: true,
  airBrakes: true,
  length: LENGTH,
  width: WIDTH,
  height: HEIGHT,
  capabilities: ['road', 'tow'],
  joints: { rear: { sort: 'pintle', x: LENGTH } },
  zones,
  places,
  shapes,
  checks: [...outsideChecks, ...engineBayChecks, ...cabChecks, ...brakeTestChecks],
};
