import type { Capability, Check, Reading, SpecificationField } from '../../catalogue';
import { caution, check, faultsOf } from '../write';

interface Blade {
  readonly prefix: string;
  readonly zone: string;
  /** Places of this sort are where the edge is measured. */
  readonly each: string;
  readonly of: string;
  readonly takes: readonly Capability[];
}

export const bladeSpecification: SpecificationField[] = [
  { id: 'edgeDepthNew', title: 'Cutting edge when new', kind: 'depth' },
];

/** The edge below the moldboard: the depot’s own limit, 50 mm where nothing else was decided. */
const edgeReading: Reading = {
  kind: 'depth',
  ask: 'Edge below the moldboard',
  required: true,
  plausible: [0, 400, 'mm'],
  neverAbove: 'edgeDepthNew',
  uncertainty: [2, 'mm'],
  bands: [
    {
      side: 'below',
      limit: { from: 'house', value: 25, unit: 'mm', source: 'the bolts are next' },
      symptom: 'edge-gone',
    },
    {
      side: 'below',
      limit: { from: 'house', value: 50, unit: 'mm', source: 'usual minimum of the depot' },
      symptom: 'edge-low',
    },
  ],
};

const crush = caution(
  'DANGER',
  'Blade on the ground or on stands before hands or feet go near it.',
);

/** Edge, shoes, springs and pins: what every blade has. */
export function bladeChecks({ prefix, zone, each, of, takes }: Blade): Check[] {
  const { stops, repairs, watches } = faultsOf('plow', takes);
  const road = faultsOf('plow', ['road', ...takes]);
  return [
    check({
      id: `${prefix}.edge.depth`,
      title: `Measure the cutting edge ${of}`,
      partName: `Cutting edge ${of}`,
      zone,
      each,
      method: 'measure',
      phases: ['pre-trip', 'post-trip', 'hook-up'],
      needs: ['blade-down', 'secured', 'rule', 'gloves'],
      seconds: 18,
      criterion: 'At least 50 mm below the moldboard at left, centre and right.',
      reading: edgeReading,
      symptoms: [
        stops('edge-gone', 'Worn to the bolts'),
        repairs('edge-low', 'Below the depot’s minimum', {
          condition: 'One more shift at most; order edges.',
        }),
        repairs('edge-uneven', 'Much less here than beside it'),
      ],
      cautions: [crush],
      why: 'When the edge is gone the moldboard grinds away, and that is welded.',
    }),
    check({
      id: `${prefix}.edge.bolts`,
      title: `Look at the bolts of the edge ${of}`,
      partName: `Edge bolts ${of}`,
      zone,
      method: 'look',
      needs: ['blade-down', 'secured'],
      phases: ['pre-trip', 'post-trip'],
      seconds: 12,
      criterion: 'Every bolt there and tight, no edge section moved.',
      symptoms: [
        stops('edge-bolts', 'Two or more bolts missing'),
        repairs('edge-bolt', 'One bolt missing or loose', {
          condition: 'Replace it before plowing.',
        }),
      ],
      fixes: { 'edge-bolt': ['Put in a bolt from the box'] },
      cautions: [crush],
      why: 'A lost edge section lies in the lane of the next car.',
    }),
    check({
      id: `${prefix}.moldboard`,
      title: `Look over moldboard and ribs ${of}`,
      partName: `Moldboard and ribs ${of}`,
      zone,
      method: 'look',
      phases: ['pre-trip', 'post-trip'],
      seconds: 12,
      criterion: 'No crack, no torn weld, no fold.',
      symptoms: [
        stops('rib-crack', 'Crack in rib or push frame'),
        repairs('moldboard-torn', 'Torn or folded sheet'),
        watches('moldboard-dent', 'New dent'),
      ],
      why: 'Cracks start at the ribs after the first curb.',
    }),
    check({
      id: `${prefix}.shoes`,
      title: `Look at shoes or casters ${of}`,
      partName: `Shoes or casters ${of}`,
      zone,
      method: 'look',
      needs: ['blade-down'],
      seconds: 8,
      phases: ['pre-trip', 'hook-up'],
      criterion: 'Even height, pinned, not worn through.',
      symptoms: [repairs('shoe-worn', 'Worn through or bent'), repairs('shoe-pin', 'Pin missing')],
      fixes: { 'shoe-pin': ['Put in a pin'] },
      why: 'Uneven shoes dig one end in.',
    }),
    check({
      id: `${prefix}.trip.springs`,
      title: `Count and shake the trip springs ${of}`,
      partName: `Trip springs ${of}`,
      zone,
      method: 'count',
      needs: ['blade-down', 'secured'],
      seconds: 12,
      phases: ['pre-trip', 'post-trip'],
      criterion: 'All there, hooked, none stretched or broken.',
      symptoms: [
        stops('springs-two', 'Two or more broken'),
        repairs('spring-one', 'One broken or unhooked', {
          condition: 'Low speed on rough ground.',
          mostKmh: 30,
        }),
      ],
      cautions: [caution('WARNING', 'A loaded spring flies. Keep your face out of its line.')],
      why: 'Without them the first manhole stops the truck dead.',
    }),
    check({
      id: `${prefix}.pins`,
      title: `Shake every pin ${of}`,
      partName: `Pins ${of}`,
      zone,
      method: 'shake',
      needs: ['blade-down', 'secured'],
      seconds: 14,
      phases: ['pre-trip', 'post-trip', 'hook-up'],
      criterion: 'Home, keeper in, no bright wear.',
      symptoms: [
        road.stops('pin-out', 'Pin or keeper missing', { fixLeaves: 'watch' }),
        repairs('pin-worn', 'Worn, moves in its hole'),
      ],
      fixes: { 'pin-out': ['Put in the right pin and keeper'] },
      cautions: [crush],
      why: 'A blade that drops on the road takes the truck with it.',
    }),
    check({
      id: `${prefix}.lift.chain`,
      title: `Look at chain, hook or link of the lift ${of}`,
      partName: `Lift chain, hook or link ${of}`,
      zone,
      method: 'look',
      seconds: 9,
      phases: ['pre-trip', 'under-way'],
      criterion: 'No cracked link, hook latched, no twist.',
      symptoms: [
        road.stops('chain-cracked', 'Link cracked or hook open'),
        repairs('chain-twisted', 'Twisted'),
        repairs('chain-stretched', 'Stretched'),
      ],
      fixes: { 'chain-twisted': ['Untwist it'] },
      why: 'It carries the blade all the way to the route.',
    }),
    check({
      id: `${prefix}.markers`,
      title: `Look at markers and guides ${of}`,
      partName: `Markers and guides ${of}`,
      zone,
      method: 'look',
      seconds: 6,
      criterion: 'Both ends can be seen from the seat, by night as well.',
      symptoms: [
        repairs('marker-gone', 'A marker is missing', {
          worse: [
            {
              in: 'dark',
              harm: 'stop',
              because: 'the end of the blade cannot be seen in the dark',
            },
          ],
        }),
      ],
      fixes: { 'marker-gone': ['Put on a marker'] },
      why: 'The blade is wider than the truck.',
    }),
    check({
      id: `${prefix}.transport`,
      title: `Raised and locked for the road ${of}`,
      partName: `Transport lock ${of}`,
      zone,
      method: 'look',
      needs: ['blade-up'],
      phases: ['pre-trip', 'under-way', 'post-trip'],
      seconds: 8,
      criterion: 'Up, locked, clear of headlamps and mirrors.',
      symptoms: [
        road.stops('not-locked', 'Does not lock in the travel position'),
        road.repairs('covers-lamps', 'Covers a headlamp', {
          condition: 'Use the upper headlamps.',
          worse: [{ in: 'dark', harm: 'stop', because: 'the road cannot be seen' }],
        }),
      ],
      why: 'It sinks on the way unless it is locked.',
    }),
    check({
      id: `${prefix}.wash`,
      title: `Wash and look over the blade ${of}`,
      partName: `Blade ${of}`,
      zone,
      method: 'clean',
      phases: ['post-trip', 'storage'],
      needs: ['blade-down', 'secured', 'water-hose'],
      seconds: 120,
      criterion: 'Free of salt and packed snow, welds seen.',
      symptoms: [watches('not-washed', 'Could not be washed today')],
      why: 'Under the salt are the cracks.',
    }),
    check({
      id: `${prefix}.grease`,
      title: `Grease pins and pivots ${of}`,
      partName: `Grease points ${of}`,
      zone,
      method: 'grease',
      phases: ['weekly', 'hook-up', 'storage'],
      needs: ['blade-down', 'secured', 'grease-gun'],
      seconds: 120,
      criterion: 'Fresh grease shows at each.',
      symptoms: [repairs('fitting-blocked', 'A fitting takes no grease')],
      cautions: [crush],
      why: 'A dry pivot holds the blade at the wrong angle.',
    }),
  ];
}
