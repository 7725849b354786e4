import { TILE, type OpenPicture } from './pictures-protocol';

/** The picture fits into one tile at the last level. */
export const levelsOf = (width: number, height: number): number =>
  1 + Math.max(0, Math.ceil(Math.log2(Math.max(width, height) / TILE)));

/** Length of a side that was halved so many times: at least a pixel. */
export const halved = (length: number, level: number): number =>
  Math.max(1, Math.round(length / 2 ** level));

/** A decoded picture and its halves, each made when it is first asked for. */
export class Pyramid {
  private readonly levels = new Map<number, Promise<ImageBitmap>>();

  constructor(private readonly whole: ImageBitmap) {}

  get size(): OpenPicture {
    const { width, height } = this.whole;
    return { width, height, levels: levelsOf(width, height) };
  }

  private level(number: number): Promise<ImageBitmap> {
    if (number === 0) return Promise.resolve(this.whole);
    const known = this.levels.get(number);
    if (known) return known;
    // Halved step by step: each is made of the one before, which is smaller than the whole.
    const made = this.level(number - 1).then((before) =>
      createImageBitmap(before, {
        resizeWidth: halved(this.whole.width, number),
        resizeHeight: halved(this.whole.height, number),
        resizeQuality: 'medium',
      }),
    );
    this.levels.set(number, made);
    return made;
  }

  async tile(level: number, column: number, row: number): Promise<ImageBitmap | null> {
    const bitmap = await this.level(level);
    const [x, y] = [column * TILE, row * TILE];
    const [width, height] = [Math.min(TILE, bitmap.width - x), Math.min(TILE, bitmap.height - y)];
    if (x < 0 || y < 0 || width <= 0 || height <= 0) return null;
    return createImageBitmap(bitmap, x, y, width, height);
  }

  close(): void {
    this.whole.close();
    for (const level of this.levels.values()) void level.then((bitmap) => bitmap.close());
  }
}
