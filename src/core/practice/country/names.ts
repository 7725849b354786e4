import { chosen } from '../chance';

const BEGINNINGS = ['Ald', 'Bram', 'Corr', 'Dun', 'Esk', 'Farr', 'Gorm', 'Hask', 'Ild', 'Kell'];
const MORE = [
  'Lorn',
  'Marr',
  'Nesk',
  'Orr',
  'Pell',
  'Rusk',
  'Skel',
  'Tolm',
  'Ulf',
  'Wend',
  'Aird',
  'Brock',
  'Cald',
  'Drum',
];
const ENDINGS = {
  summit: [' Top', ' Hill', ' Head', ' Brae', ' Rigg'],
  lake: [' Water', ' Lake', ' Mere'],
  building: [' Hut', ' Bothy', ' House', ' Barn'],
} as const;

/** Names for a country: none twice. Made up from syllables, of no place. */
export class Names {
  private readonly left = [...BEGINNINGS, ...MORE];

  constructor(private readonly next: () => number) {}

  /** A name that wasn't given yet; null once there are no more. */
  of(what: keyof typeof ENDINGS): string | null {
    const at = Math.floor(this.next() * this.left.length);
    const [first] = this.left.splice(at, 1);
    return first === undefined ? null : first + chosen(ENDINGS[what], this.next);
  }
}
