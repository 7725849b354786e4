import type { NationalGrid } from '@/core/place/national-grids';
import { utmText } from '@/core/place/grid-text';
import { nationalText } from '@/core/place/national-text';
import { shortReference, squareOf, usualGrid } from '@/core/place/short-reference';
import { decimalDegrees } from '@/core/readings/place/degrees-text';
import type { Position } from '@/core/readings/position';
import { keepChoice } from '@/store/keep-choice';
import { keptChoice } from '@/store/kept-choice';
import { GRID_KEY } from '@/ui/units/chosen-units';

const SQUARE_KEY = 'cairn-square';

/** The national grid that references near a place are shown in; null for UTM. */
export const shownGrid = (near: Position): NationalGrid | null =>
  usualGrid(near, keptChoice(GRID_KEY));

/** The square, or the grid, that references near a place are in; null beyond all of them. */
export const shownSquare = (near: Position): string | null => squareOf(near, shownGrid(near));

/** A reference of so many digits in that square; null beyond the grids. */
export const shownReference = (position: Position, digits: number): string | null =>
  shortReference(position, digits, shownGrid(position));

/** A place as its national grid has it; in degrees where it has none, or UTM if that is chosen. */
export const shownPlace = (position: Position): string =>
  keptChoice(GRID_KEY) === 'utm' || shownGrid(position)
    ? placeOnMap(position)
    : decimalDegrees(position);

/** A place as a map has it: in its national grid, else in UTM; beyond both in degrees. */
export function placeOnMap(position: Position): string {
  const grid = shownGrid(position);
  return (grid ? nationalText(grid, position) : utmText(position)) ?? decimalDegrees(position);
}

/** What the field of a square begins with: what was last typed there, else the place's own. */
export const firstSquare = (near: Position | null | undefined): string =>
  keptChoice(SQUARE_KEY) ?? (near ? shownSquare(near) : null) ?? '';

/** Remembers a square that was typed; one that the place has anyhow is no choice. */
export function keepSquare(square: string, near: Position | null | undefined): void {
  const text = square.trim();
  const isUsual = text === '' || (near ? text === shownSquare(near) : false);
  void keepChoice(SQUARE_KEY, isUsual ? null : text);
}
