import { useCallback, useEffect, useRef, useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import type { Camera } from '@/devices/camera';
import { realCamera } from '@/devices/real-camera';
import { missingFrames, takeFrame, textOfFrames, type FramesSeen } from '@/formats/qr-frames';
import { CodeReader } from '@/workers/codes';
import { WORDS } from '../words';

/** Collects frames until their series is whole; then hands on its text. */
function useFrames(onText: (text: string) => void) {
  // Several pictures may be read at the same time: the newest state is in the ref.
  const collected = useRef<FramesSeen | null>(null);
  const [seen, setSeen] = useState<FramesSeen | null>(null);
  const [status, setStatus] = useState<string>(WORDS.looking);
  const take = useCallback(
    (bytes: Uint8Array) => {
      const taken = takeFrame(collected.current, bytes);
      if (taken.kind === 'foreign') return setStatus(WORDS.foreign);
      collected.current = taken.seen;
      setSeen(taken.seen);
      setStatus(taken.another ? WORDS.otherSeries : '');
      if (missingFrames(taken.seen).length > 0) return;
      const text = textOfFrames(taken.seen);
      collected.current = null;
      if (text.ok) onText(text.value);
      else setStatus(text.fault.map(({ fault }) => faultMessage(fault)).join(' '));
    },
    [onText],
  );
  return { seen, status, setStatus, take };
}

/** Reads QR codes from the device's camera, and from pictures. */
export function useCodeReader(onText: (text: string) => void) {
  const video = useRef<HTMLVideoElement>(null);
  const reader = useRef<CodeReader | null>(null);
  const { seen, status, setStatus, take } = useFrames(onText);
  const [hasCamera, setHasCamera] = useState(true);

  /** Reads every picture of a series; of a live camera, those for which there is time. */
  const look = useCallback(
    async (camera: Camera, live: boolean) => {
      const readings: Promise<unknown>[] = [];
      let found = 0;
      const begun = await camera.look(video.current, (picture) => {
        if (!reader.current || (live && reader.current.busy)) return;
        readings.push(
          reader.current.read(picture).then((bytes) => {
            if (!bytes) return;
            found++;
            take(bytes);
          }),
        );
      });
      if ((await Promise.allSettled(readings)).some(({ status: how }) => how === 'rejected')) {
        return setStatus(WORDS.readerDied);
      }
      if (!begun.ok) {
        setStatus(WORDS.camera[begun.fault]);
        if (live) setHasCamera(false);
      }
      if (begun.ok && !live && found === 0) setStatus(WORDS.noCode);
    },
    [take, setStatus],
  );

  useEffect(() => {
    reader.current = new CodeReader();
    const camera = realCamera();
    const start = setTimeout(() => void look(camera, true));
    return () => {
      clearTimeout(start);
      camera.stop();
      reader.current?.stop();
      reader.current = null;
    };
  }, [look]);
  return { video, seen, status, hasCamera, look };
}
