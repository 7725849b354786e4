import type { SourceId } from '@/core/errors/sources/source';
import type { Improvement } from '@/core/navigation/improvements';
import type { SourceShare } from '@/core/navigation/uncertainty-sources';

/** The sources of error in words. */

const FOLLOWING: Readonly<Record<string, string>> = {
  needle: 'following the needle',
  landmark: 'walking from mark to mark',
  sighted: 'following a sighting compass',
};
const HELD: Readonly<Record<string, string>> = {
  needle: 'the compass itself, read by its needle',
  landmark: 'the compass itself, sighted at marks',
  sighted: 'the sighting compass itself',
};
const onGround = (ground: string) => (ground === '' ? '' : ` on ${ground}`);

const WORDS: { readonly [Source in SourceId]: (about: string) => string } = {
  following: (aim) => FOLLOWING[aim] ?? aim,
  fineness: () => 'bearings read only so finely',
  compass: (aim) => HELD[aim] ?? aim,
  declination: () => 'the declination',
  iron: () => 'iron near the compass',
  paced: (ground) => `counting paces${onGround(ground)}`,
  'pace-length': (ground) => `the length of your pace${onGround(ground)}`,
  measured: () => 'distances in metres, by eye',
  timed: () => 'distances by the clock',
  speed: () => 'your speed',
  slope: () => 'slopes as read',
  'slope-reader': () => 'how you judge slopes',
};

export const sourceWords = ({ source, about }: Pick<SourceShare, 'source' | 'about'>): string =>
  WORDS[source](about);

const WALK_HOME: Readonly<Record<string, string>> = {
  landmark: 'walk home from mark to mark',
  sighted: 'walk home with a sighting compass',
};

/** What would help, as one does it. */
export function improvementWords(found: Improvement): string {
  switch (found.kind) {
    case 'aim':
      return WALK_HOME[found.aim] ?? found.aim;
    case 'calibrate':
      return `calibrate your pace${onGround(found.ground)}`;
    case 'back-bearings':
      return 'read the back bearing of each leg';
    case 'count-paces':
      return 'count paces home, not minutes';
    case 'same-ground':
      return `walk home${onGround(found.ground)} as you came, by its own pace`;
  }
}
