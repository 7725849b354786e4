import { fail, ok } from '../core/units/result';
import type { Camera } from './camera';
import { pictureOf } from './real-camera';

/** A camera that sees the pictures it is given, one after another: for tests and for images. */
export function pictureCamera(pictures: readonly Blob[]): Camera {
  let stopped = false;
  return {
    stop: () => (stopped = true),
    async look(_video, onPicture) {
      const canvas = document.createElement('canvas');
      for (const picture of pictures) {
        if (stopped) break;
        try {
          const bitmap = await createImageBitmap(picture);
          onPicture(pictureOf(canvas, bitmap, bitmap.width, bitmap.height));
          bitmap.close();
        } catch {
          return fail('no-answer');
        }
      }
      return ok(null);
    },
  };
}
