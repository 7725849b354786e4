import type { Result } from '../core/result';
import type { DeviceFault } from './position';

/** A thing that sees: each picture goes to the one who looks. */
export interface Camera {
  /** Looks until `stop`; what it sees can be shown in a video element. Resolves when it has begun, or to why it can't. */
  look(
    video: HTMLVideoElement | null,
    onPicture: (picture: ImageData) => void,
  ): Promise<Result<null, DeviceFault>>;
  stop(): void;
}
