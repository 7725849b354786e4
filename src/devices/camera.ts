import type { Result } from '../core/units/result';
import type { DeviceFault } from './position';

/** A source of pictures. */
export interface Camera {
  /** Takes pictures until `stop`, and may show them. Resolves once started, or to why it can't. */
  look(
    video: HTMLVideoElement | null,
    onPicture: (picture: ImageData) => void,
  ): Promise<Result<null, DeviceFault>>;
  stop(): void;
}
