/** The parts of a hand compass, by the field's names, and a sentence on what each is for. */
const PARTS = {
  'base-plate': ['base plate', 'Its long edge lies along the way on the map.'],
  'travel-arrow': ['direction-of-travel arrow', 'It points away from you, along the way to go.'],
  index: ['index line', 'The bearing is read or set here.'],
  dial: ['dial', 'It turns, with degrees around it.'],
  'orienting-arrow': ['orienting arrow', 'The needle is brought into it.'],
  'orienting-lines': ['orienting lines', 'They lie along the grid of the map.'],
  needle: ['needle', 'Its marked end points to magnetic north.'],
  'declination-scale': ['declination scale', 'The needle is brought to its mark.'],
} as const;
export type PartId = keyof typeof PARTS;
export const PART_IDS = Object.keys(PARTS) as PartId[];
export const partName = (part: PartId): string => PARTS[part][0];
export const partUse = (part: PartId): string => PARTS[part][1];
