import type { Fault } from '../../faults/fault';
import type { Position } from '../position';
import type { Result } from '../../units/result';

/** Reads a place by a grid; null for a text that looks like none. */
type GridReader = (text: string) => Result<Position, Fault> | null;

let provided: GridReader | null = null;

/**
 * Provides what reads places by a grid. Few logs have one, and the projections are too heavy to be
 * loaded with every log: they are loaded when a line asks for them.
 */
export const provideGridReader = (reader: GridReader): void => {
  provided = reader;
};

/** What reads places by a grid; null until it is loaded. */
export const providedGridReader = (): GridReader | null => provided;
