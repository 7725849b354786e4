import type { LengthUnit } from './distance';

/** What a person writes for a unit. Inches are read only beside feet. */
const UNIT_WORDS: Readonly<Record<LengthUnit | 'minutes' | 'hours' | 'inches' | 'beads', string>> =
  {
    paces: 'p pc pcs pace paces dp dbl dbls double doubles',
    steps: 's step steps single singles footstep footsteps',
    metres: 'm mt mts mtr mtrs metre metres meter meters',
    kilometres: 'km kms kilometre kilometres kilometer kilometers',
    feet: 'ft foot feet',
    yards: 'yd yds yard yards',
    miles: 'mi mile miles',
    chains: 'ch chs chain chains',
    links: 'lk lks link links',
    minutes: 'min mins minute minutes',
    hours: 'h hr hrs hour hours',
    inches: 'in ins inch inches',
    beads: 'bead beads',
  };
export type WrittenUnit = keyof typeof UNIT_WORDS;

export const UNIT_OF_WORD: ReadonlyMap<string, WrittenUnit> = new Map(
  (Object.keys(UNIT_WORDS) as WrittenUnit[]).flatMap((unit) =>
    UNIT_WORDS[unit].split(' ').map((word) => [word, unit] as const),
  ),
);

/** The words and signs that are units, for readers that must not take one for a note. */
export const UNIT_NAMES: ReadonlySet<string> = new Set(UNIT_OF_WORD.keys());
