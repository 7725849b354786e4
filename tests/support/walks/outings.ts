import { randomSource } from './random-source';
import type { PlainHome, PlainLeg, PlainOuting } from './plain-outing';

/** The outings that the simulator walks, and each as the log that a person would write. */

const leg = (
  written: string,
  degrees: number,
  metres: number,
  more: Partial<PlainLeg> = {},
): PlainLeg => ({ written, degrees, metres, by: 'paces', aim: 'landmark', compass: '', ...more });
const plain = (degrees: number, metres: number, more: Partial<PlainLeg> = {}) =>
  leg(String(degrees).padStart(3, '0'), degrees, metres, more);

const HOME: PlainHome = { aim: 'landmark', compass: '', by: 'paces' };
const PACE = 100 / 65;
const outing = (
  name: string,
  legs: readonly PlainLeg[],
  home: Partial<PlainHome> = {},
  more: Partial<PlainOuting> = {},
): PlainOuting => ({
  name,
  legs,
  home: { ...HOME, ...home },
  paces: { '': { metres: PACE } },
  declinationSigma: null,
  ...more,
});

const WALK: readonly (readonly [number, number])[] = [
  [112, 200],
  [84, 146],
  [61, 246],
  [338, 185],
  [15, 115],
  [301, 169],
];
const walk = (more: Partial<PlainLeg>) => WALK.map(([b, d]) => plain(b, d, more));

/** Each kind of outing whose uncertainty was once too small or too large. */
export const NAMED_OUTINGS: readonly PlainOuting[] = [
  outing('one leg to a compass point', [leg('NE', 45, 400 * PACE)]),
  outing('by four winds', [leg('N', 0, 300), leg('E', 90, 200)]),
  outing('by sixteen winds', [leg('NNE', 22.5, 300), leg('ESE', 112.5, 400)]),
  outing('sighted out, needle home', walk({ aim: 'sighted' }), { aim: 'needle' }),
  outing('another compass home', walk({ compass: 'mirror' }), { compass: 'old' }),
  outing('rough out, the general pace home', walk({ ground: 'rough' })),
  outing('rough out and home', walk({ ground: 'rough' }), { ground: 'rough' }),
  outing('timed out, paced home', walk({ by: 'minutes' })),
  outing('timed out and home', walk({ by: 'minutes' }), { by: 'minutes' }),
  outing('a slope', [plain(20, 300, { slopeDegrees: 25 }), plain(70, 200, { slopeDegrees: 25 })]),
  outing(
    'off the map, needle home',
    walk({ offMap: true }),
    { aim: 'needle' },
    {
      declinationSigma: 0.5,
    },
  ),
  outing('metres out, paces home', walk({ by: 'metres' })),
  outing('a big box', [plain(10, 200, { box: [200 * PACE, 100] }), plain(100, 150)]),
  outing('back bearings', walk({ hasBack: true })),
  outing('a typed declination', walk({}), {}, { declinationSigma: 0.5 }),
  outing('all shared', walk({})),
  outing(
    'calibrated by three walks',
    walk({}),
    {},
    {
      paces: { '': { metres: PACE, spread: 0.045, walks: 3 } },
    },
  ),
  outing(
    'a spread without its walks',
    walk({ aim: 'needle' }),
    { aim: 'needle' },
    {
      paces: { '': { metres: PACE, spread: 0.08 } },
    },
  ),
  outing('a branch from an earlier station', [
    plain(40, 300),
    plain(130, 200),
    plain(310, 250, { from: 1 }),
  ]),
];

/** Outings of all these things mixed, from a seed. */
export function mixedOuting(seed: number): PlainOuting {
  const { uniform } = randomSource(1000 + seed);
  const pick = <Value>(values: readonly Value[]) => values[Math.floor(uniform() * values.length)]!;
  const aims = [pick(['needle', 'landmark', 'sighted'] as const), 'landmark'] as const;
  const bys = pick([['paces'], ['paces', 'metres'], ['paces', 'minutes'], ['metres']] as const);
  const usesMap = uniform() < 0.3;
  const legs: PlainLeg[] = Array.from({ length: 1 + Math.floor(uniform() * 9) }, (_, index) => {
    const degrees = Math.floor(uniform() * 360);
    const finer = uniform() < 0.2;
    const angle = finer ? degrees + 0.5 : degrees;
    return leg(
      finer ? `${String(degrees).padStart(3, '0')}.5` : String(degrees).padStart(3, '0'),
      angle,
      60 + Math.floor(uniform() * 300),
      {
        aim: pick(aims),
        by: pick(bys),
        compass: uniform() < 0.2 ? 'mirror' : '',
        ...(uniform() < 0.3 ? { ground: 'rough' } : {}),
        ...(uniform() < 0.2 ? { slopeDegrees: 5 + Math.floor(uniform() * 25) } : {}),
        ...(uniform() < 0.2 ? { box: [20 + Math.floor(uniform() * 80), 30] as const } : {}),
        ...(!finer && uniform() < 0.2 ? { hasBack: true } : {}),
        ...(usesMap && uniform() < 0.5 ? { offMap: true, hasBack: false } : {}),
        ...(index > 2 && uniform() < 0.15 ? { from: index - 2 } : {}),
      },
    );
  });
  const home: Partial<PlainHome> = {
    aim: pick(['needle', 'landmark', 'sighted']),
    compass: uniform() < 0.2 ? 'mirror' : '',
    by: pick(['paces', 'paces', 'minutes']),
  };
  const onRough = home.by === 'paces' && uniform() < 0.3;
  return outing(`mixed ${seed}`, legs, onRough ? { ...home, ground: 'rough' } : home, {
    paces: {
      '': { metres: PACE, ...(uniform() < 0.5 ? { spread: 0.04, walks: 5 } : {}) },
      ...(uniform() < 0.5 ? { rough: { metres: 1.4, spread: 0.06, walks: 3 } } : {}),
    },
    declinationSigma: usesMap || uniform() < 0.4 ? 0.5 : null,
  });
}

/** A distance as it was got. */
function distance({ paces }: PlainOuting, metres: number, each: Partial<PlainLeg>): string {
  if (each.by === 'metres') return `${metres}m`;
  if (each.by === 'minutes') return `${(metres / 1000 / 4) * 60}min@4kmh`;
  const { metres: pace } = paces[each.ground ?? ''] ?? paces['']!;
  return `${metres / pace}p`;
}

/** The outing as a log. */
export function logOf(outing: PlainOuting): string {
  const { legs, home, paces, declinationSigma } = outing;
  const lines = declinationSigma === null ? [] : ['declination 0 E'];
  for (const [ground, { metres, spread, walks }] of Object.entries(paces)) {
    const by = walks === undefined ? '' : ` of ${walks} walks`;
    const told = spread === undefined ? '' : ` spread ${100 * spread}%${by}`;
    lines.push(`pace ${ground === '' ? '' : `${ground} `}${metres} m${told}`);
  }
  let [aim, compass, at] = ['landmark', '', 0];
  const compassLine = (name: string) => `compass ${name === '' ? 'usual' : name}`;
  lines.push(compassLine(''));
  for (const [index, each] of legs.entries()) {
    if (each.aim !== aim) lines.push(`aim ${each.aim}`);
    if (each.compass !== compass) lines.push(compassLine(each.compass));
    [aim, compass] = [each.aim, each.compass];
    const from = each.from ?? at;
    if (from !== at) lines.push(`from ${from === 0 ? 'Start' : `S${from}`}`);
    at = index + 1;
    const along = each.metres / Math.cos(((each.slopeDegrees ?? 0) * Math.PI) / 180);
    const back = String((each.degrees + 180) % 360).padStart(3, '0');
    lines.push(
      [
        each.written + (each.offMap ? 'T' : ''),
        distance(outing, along, each),
        each.ground,
        each.hasBack && `back ${back}`,
        each.slopeDegrees && `up ${each.slopeDegrees}`,
        `> S${at}`,
      ]
        .filter(Boolean)
        .join(' '),
    );
    if (each.box) {
      const [out, on] = each.box.map((metres) => distance(outing, metres, each));
      lines.push(`box left ${out} along ${on}`);
    }
  }
  if (home.compass !== compass) lines.push(compassLine(home.compass));
  lines.push(
    `home ${home.aim}${home.ground ? ` on ${home.ground}` : ''}` +
      (home.by === 'minutes' ? ' timed 4 kmh' : ''),
  );
  return lines.join('\n');
}
