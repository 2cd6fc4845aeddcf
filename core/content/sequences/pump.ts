import type { Procedure } from '../../catalogue';
import { caution } from '../write';
import { procedureOf, step } from './write';

const jet = caution(
  'DANGER',
  'Nobody in front of caps and nozzles. What is under pressure is opened slowly, by its drain.',
);
const ears = caution('WARNING', 'Ears covered at the panel. A pump in gear can drive: chocks in.');
const AT_THE_PANEL = {
  stand: 'At the panel, beside the gauges; nobody at the outlets',
  clear: { x: 2, y: -4, length: 5, width: 8 },
} as const;

/** Made dry: it draws, and it keeps what it drew. */
export const PRIMER: Procedure = procedureOf(
  { id: 'pumper.primer', title: 'Vacuum test of the pump, dry', cautions: [jet, ears] },
  {
    ...AT_THE_PANEL,
    steps: [
      step(
        'shut',
        'Every cap on, every valve and drain shut, tank valve shut, hard suction capped.',
        {
          ask: [
            'All shut, nobody at an outlet?',
            'Shut them first: one that is open is what you would measure.',
          ],
        },
      ),
      step('drain', 'Drain it whole, drains shut again.', { see: 'No more drops.' }),
      step('draw', 'Primer on, until the gauge stands at its mark.', {
        see: 'To the mark of its plate within half a minute.',
        withinSeconds: 30,
        fails: ['primer-dead'],
      }),
      step('hold', 'Primer off, engine to idle. Watch the gauge.', {
        see: 'Falls no more in five minutes than its plate allows.',
        holdSeconds: 300,
        fails: ['vacuum-falls'],
      }),
      step('listen', 'Listen along caps, valves and packing where the air gets in.', {
        fails: ['vacuum-falls'],
      }),
      step(
        'back',
        'Let the air in, valves and drains shut, water into the pump, tank full again.',
        {
          see: 'In frost it stays drained.',
        },
      ),
    ],
  },
);

/** With water: what shuts a line shuts no crew off its feet. */
export const RELIEF: Procedure = procedureOf(
  { id: 'pumper.relief', title: 'Relief valve or governor under flow', cautions: [jet, ears] },
  {
    ...AT_THE_PANEL,
    steps: [
      step('water', 'Tank to pump open, recirculate, one line flowing to a safe place.', {
        ask: ['Line held or tied, nobody before it?', 'It whips. Tie it or hold it with two.'],
      }),
      step('set', 'Raise to the pressure of the card; set the valve to it.', {
        see: 'Its lamp shows that it stands ready.',
        fails: ['relief-dead'],
      }),
      step('close', 'Close the line slowly. Watch the master gauge.', {
        see: 'Rises no more than its plate allows, and stays.',
        fails: ['relief-dead'],
      }),
      step('open', 'Open the line again.', {
        see: 'Back to where it was set.',
        fails: ['relief-dead'],
      }),
      step(
        'packing',
        'From the side: drops at the packing as its card says. Feel nothing by hand.',
      ),
      step('down', 'To idle slowly, valves shut, shift to road.', { see: 'Lamps out.' }),
    ],
  },
);
