import { dice } from './mutated-files';

/**
 * A search for the slowest body that each endpoint accepts: bodies are made of a few numbers, which
 * are changed a little at a time, and what takes longer is kept.
 */
export interface SlowestBody {
  readonly endpoint: string;
  readonly tries: number;
  /** The slowest one that was answered, and the slowest of all, refused ones as well. */
  readonly acceptedMs: number;
  readonly longestMs: number;
  /** How long another request had to wait at most, beside the tries. */
  readonly otherMs: number;
  readonly genes: readonly number[];
  readonly wrong: readonly string[];
}

/** Numbers from 0 to 1 that a body is made of. */
type Genes = readonly number[];

interface Target {
  readonly name: string;
  readonly path: string;
  readonly type: string;
  readonly make: (genes: Genes) => string;
}

const between = (gene: number, from: number, to: number) => Math.round(from + gene * (to - from));
const padded = (degrees: number) => String(((degrees % 360) + 360) % 360).padStart(3, '0');

/** A log whose legs, loops, back bearings, sightings and people are as many as the genes say. */
function logBy(genes: Genes, most: number): string {
  const [size = 0, loops = 0, backs = 0, sights = 0, knowns = 0, owners = 0, names = 0] = genes;
  // By its logarithm: most large bodies are refused, and the climb begins at accepted ones.
  const lines = Math.round(2 * (most / 2) ** size);
  const marks = between(knowns, 0, 12);
  const text = [
    'cairn-back log 1',
    'start Dock',
    'declination 19 W',
    names > 0.5 ? 'adjust least-squares' : '# as walked',
    ...Array.from({ length: marks }, (_, i) => `known K${i} at 54.${20 + i} -63.${50 + i}`),
  ];
  for (let i = 0; i < lines; i++) {
    const bearing = i * 97 + 13;
    if (owners > 0.3 && i % Math.max(2, between(1 - owners, 2, 200)) === 0) {
      text.push(`compass C${i}`);
    }
    if (marks > 0 && i % 100 < 100 * sights) text.push(`see ${padded(bearing)} ; K${i % marks}`);
    else if (i % 100 < 60 * sights) text.push(`see ${padded(bearing)} ; S${i % 7}`);
    const back = i % 100 < 100 * backs ? ` back ${padded(bearing + 190)}` : '';
    const isLoop = i > 2 && i % 100 < 60 * loops;
    const to = isLoop ? ` > N${(i * 7919) % i}` : ` > N${i}`;
    text.push(`${padded(bearing)} ${50 + (i % 7) * 20}m${back}${to}`);
  }
  return text.join('\n');
}

/** Several logs that share stations. */
const logsBy = (genes: Genes): string => {
  const people = between(genes[7] ?? 0, 1, 30);
  return Array.from({ length: people }, (_, i) =>
    logBy(genes, 1500 / people).replace('start Dock', `by P${i}\nstart Dock`),
  ).join('\n');
};

function fixBy([count = 0, corners = 0, spread = 0, bias = 0, turn = 0]: Genes): string {
  const known = Array.from({ length: between(count, 1, 30) }, (_, i) => ({
    name: `M${i}`,
    latitude: 54.2 + (0.002 + 0.3 * spread) * Math.cos(i * (0.1 + turn)),
    longitude: -63.5 + (0.003 + 0.5 * spread) * Math.sin(i * (0.1 + turn)),
  }));
  const points = between(corners, 0, 1999);
  const line = Array.from({ length: points }, (_, i) => [
    54.2 + 0.04 * (i / points) * (i % 2 ? 1 : -1),
    -63.5 + 0.06 * (i / points - 0.5),
  ]);
  const bearings = known.map(({ name }, i) => ({
    to: name,
    bearing: padded(Math.round(i * (7 + 180 * turn))),
  }));
  return JSON.stringify({
    known,
    bearings,
    declination: '19 W',
    ...(points > 1 && { line }),
    solveBias: bias > 0.5,
  });
}

function routeBy([count = 0, apart = 0, climbs = 0]: Genes): string {
  const points = Array.from({ length: between(count, 2, 500) }, (_, i) => ({
    name: `P${i}`,
    at: [54 + apart * ((i * 37) % 60), -63 + apart * ((i * 53) % 90)].join(' '),
  }));
  const climb = climbs > 0.5 ? points.slice(1).map(() => [100, 50]) : undefined;
  return JSON.stringify({ points, date: '2026-08-14', declination: 'model', climb });
}

const TARGETS: readonly Target[] = [
  { name: 'home', path: '/api/home', type: 'text/plain', make: (genes) => logBy(genes, 12_400) },
  ...['gpx', 'kml', 'svg'].map((to): Target => ({
    name: `convert to ${to}`,
    path: `/api/convert?to=${to}`,
    type: 'text/plain',
    make: (genes) => logBy(genes, 12_000).replace('Dock\n', 'Dock at 54.2 -63.5\n'),
  })),
  { name: 'adjust', path: '/api/adjust', type: 'text/plain', make: logsBy },
  {
    name: 'adjust as walked',
    path: '/api/adjust?method=as-walked',
    type: 'text/plain',
    make: logsBy,
  },
  { name: 'fix', path: '/api/fix', type: 'application/json', make: fixBy },
  { name: 'route', path: '/api/route', type: 'application/json', make: routeBy },
];

const GENES = 8;
/** A step of the climb changes a few of the numbers by so much. */
const STEP = 0.25;

/** So many of the tries begin again, the others climb from the slowest so far. */
const FRESH = 0.3;

/** Climbs towards the slowest body of every endpoint; the tries are shared out among them. */
export async function* slowestBodies(
  url: string,
  all: number,
  seed: number,
): AsyncGenerator<SlowestBody> {
  const tries = Math.ceil(all / TARGETS.length);
  // The threads of the server begin with the first requests.
  for (let i = 0; i < 4; i++) await timed(`${url}/api/home`, 'text/plain', '220 65m\n');
  for (const [index, target] of TARGETS.entries()) {
    const roll = dice(seed + index);
    const part = () => roll(10_001) / 10_000;
    const fresh = () => Array.from({ length: GENES }, part);
    let best = { genes: fresh(), ms: 0 };
    let [longestMs, otherMs] = [0, 0];
    const wrong: string[] = [];
    for (let i = 0; i < tries; i++) {
      const isFresh = i === 0 || part() < FRESH;
      const genes = isFresh ? fresh() : best.genes.map((gene) => moved(gene, part));
      const [{ status, ms }, other] = await Promise.all([
        timed(url + target.path, target.type, target.make(genes)),
        timed(`${url}/api/home`, 'text/plain', '220 65m\n'),
      ]);
      otherMs = Math.max(otherMs, other.ms);
      longestMs = Math.max(longestMs, ms);
      if (status === 200 && ms > best.ms) best = { genes, ms };
      if (other.status !== 200 || ![200, 400, 413].includes(status)) {
        wrong.push(`${target.name}: ${status}, another ${other.status} by ${genes.join(' ')}`);
      }
    }
    const { genes, ms: acceptedMs } = best;
    yield { endpoint: target.name, tries, acceptedMs, longestMs, otherMs, genes, wrong };
  }
}

const moved = (gene: number, part: () => number): number =>
  part() < 0.5 ? gene : Math.min(1, Math.max(0, gene + STEP * (2 * part() - 1)));

async function timed(url: string, type: string, body: string) {
  const began = performance.now();
  const answer = await fetch(url, { method: 'POST', body, headers: { 'content-type': type } });
  await answer.arrayBuffer();
  return { status: answer.status, ms: performance.now() - began };
}
