import { fail, ok, type Result } from '../../core/units/result';
import { fileFault, type FileFault } from '../format';

/** What ties a picture to a plane by its file: see the world of a map picture. */
export interface World {
  readonly numbers: number[];
  readonly degrees: boolean;
}

/** The text file beside a picture whose six lines tie it to a plane. */
export const isWorldFile = (name: string): boolean => /\.(\w{1,2}w|wld|\w{3,4}w)$/i.test(name);

/**
 * The six lines of a world file: east by x, north by x, east by y, north by y, and the middle of
 * the upper left pixel. It doesn't say of which grid; numbers that fit degrees are degrees.
 */
export function readWorldFile(text: string): Result<World, FileFault[]> {
  const lines = text.trim().split(/\s+/);
  const numbers = lines.map((line) => Number(line.replace(',', '.')));
  const isWhole = numbers.length === 6 && numbers.every(Number.isFinite);
  const [a = 0, d = 0, b = 0, e = 0, east = 0, north = 0] = numbers;
  if (!isWhole || a * e - b * d === 0) {
    const message = 'A world file has six numbers, one on each line, and its picture some width.';
    return fail([fileFault(message, { line: Math.min(lines.length, 6), column: 1 })]);
  }
  const degrees = Math.abs(east) <= 180 && Math.abs(north) <= 90 && Math.abs(a) < 0.1;
  return ok({ numbers, degrees });
}
