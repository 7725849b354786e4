import { expose, transfer } from 'comlink';
import { prepare } from './decode';
import type { PicturesWorker } from './pictures-protocol';
import { Pyramid } from './pyramid';

let pyramid: Pyramid | null = null;

expose({
  prepare,
  async open(file) {
    pyramid?.close();
    pyramid = null;
    try {
      pyramid = new Pyramid(await createImageBitmap(file));
      return pyramid.size;
    } catch {
      return null;
    }
  },
  async tile(level, column, row) {
    const tile = await pyramid?.tile(level, column, row);
    return tile ? transfer(tile, [tile]) : null;
  },
} satisfies PicturesWorker);
