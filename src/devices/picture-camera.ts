import { fail, ok } from '../core/result';
import type { Camera } from './camera';
import { pictureOf } from './real-camera';

/** Stands in for a camera: sees the pictures that it is given, one after the other. Also for codes that came as pictures. */
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
