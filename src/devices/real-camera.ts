import { fail, ok } from '../core/units/result';
import type { Camera } from './camera';

/** Between two pictures: reading a code takes a phone some 50 ms, and codes change slowly. */
const EVERY_MS = 120;
/** The longer side of a picture: codes need no more, and reading costs with its square. */
const LONGEST_SIDE = 800;

/** The camera at the back of the phone. */
export function realCamera(): Camera {
  let stream: MediaStream | null = null;
  let timer: ReturnType<typeof setInterval> | null = null;
  let stopped = false;
  const stop = () => {
    stopped = true;
    if (timer) clearInterval(timer);
    for (const track of stream?.getTracks() ?? []) track.stop();
    stream = null;
  };
  return {
    stop,
    async look(video, onPicture) {
      if (!navigator.mediaDevices?.getUserMedia || !video) return fail('absent');
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: 'environment' },
        });
      } catch (error) {
        const refused = error instanceof DOMException && error.name === 'NotAllowedError';
        return fail(refused ? 'refused' : 'absent');
      }
      // Reading may have been stopped while the permission was asked for.
      if (stopped) {
        stop();
        return ok(null);
      }
      video.srcObject = stream;
      try {
        await video.play();
      } catch {
        // Stopped before the first picture: no error then.
        return stopped ? ok(null) : fail('no-answer');
      }
      if (stopped) return ok(null);
      const canvas = document.createElement('canvas');
      timer = setInterval(() => {
        if (video.videoWidth === 0) return;
        onPicture(pictureOf(canvas, video, video.videoWidth, video.videoHeight));
      }, EVERY_MS);
      return ok(null);
    },
  };
}

/** An image as pixels, no larger than codes need. */
export function pictureOf(
  canvas: HTMLCanvasElement,
  image: CanvasImageSource,
  width: number,
  height: number,
): ImageData {
  const scale = Math.min(1, LONGEST_SIDE / Math.max(width, height));
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  return context.getImageData(0, 0, canvas.width, canvas.height);
}
