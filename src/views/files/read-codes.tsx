import { Button, Upload } from 'antd';
import { useCallback, useEffect, useRef, useState } from 'react';
import { faultWords } from '@/core/fault-words';
import type { Camera } from '@/devices/camera';
import { pictureCamera } from '@/devices/picture-camera';
import { realCamera } from '@/devices/real-camera';
import { missingFrames, takeFrame, textOfFrames, type FramesSeen } from '@/formats/frames';
import { CodeReader } from '@/workers/codes';
import styles from './files.module.css';
import { WORDS } from './words';

/** Looks for codes until a whole series was seen. */
export function ReadCodes({ onText }: { onText: (text: string) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const seen = useRef<FramesSeen | null>(null);
  const reader = useRef<CodeReader | null>(null);
  const [shown, setShown] = useState<FramesSeen | null>(null);
  const [told, setTold] = useState<string>(WORDS.looking);
  const [blind, setBlind] = useState(false);

  const take = useCallback(
    (bytes: Uint8Array) => {
      const taken = takeFrame(seen.current, bytes);
      if (taken.kind === 'foreign') return setTold(WORDS.foreign);
      seen.current = taken.seen;
      setShown(taken.seen);
      setTold(taken.another ? WORDS.another : '');
      if (missingFrames(taken.seen).length > 0) return;
      const text = textOfFrames(taken.seen);
      seen.current = null;
      if (text.ok) onText(text.value);
      else setTold(text.fault.map(({ fault }) => faultWords(fault)).join(' '));
    },
    [onText],
  );

  /** Looks with a camera; one with film gives each picture its turn, a live one passes over what comes too fast. */
  const look = useCallback(
    async (camera: Camera, live: boolean) => {
      const readings: Promise<unknown>[] = [];
      let found = 0;
      const begun = await camera.look(video.current, (picture) => {
        const reading = reader.current;
        if (!reading || (live && reading.busy)) return;
        readings.push(
          reading.read(picture).then((bytes) => {
            if (!bytes) return;
            found++;
            take(bytes);
          }),
        );
      });
      await Promise.all(readings);
      if (!begun.ok) {
        setTold(WORDS.camera[begun.fault]);
        if (live) setBlind(true);
      }
      if (begun.ok && !live && found === 0) setTold(WORDS.noCode);
    },
    [take],
  );

  useEffect(() => {
    reader.current = new CodeReader();
    const camera = realCamera();
    void look(camera, true);
    return () => {
      camera.stop();
      reader.current?.stop();
      reader.current = null;
    };
  }, [look]);

  const missing = shown ? missingFrames(shown) : [];
  return (
    <div className={styles.codes}>
      <video
        ref={video}
        className={styles.video}
        hidden={blind}
        muted
        playsInline
        aria-hidden="true"
      />
      <div role="status" data-testid="codes-seen">
        {shown && <p>{WORDS.seen(shown.parts.length - missing.length, shown.parts.length)}</p>}
        {missing.length > 0 && <p>{WORDS.missing(missing)}</p>}
        {told && <p>{told}</p>}
      </div>
      <Upload
        accept="image/*"
        multiple
        showUploadList={false}
        beforeUpload={(file, all) => {
          if (file === all[0]) void look(pictureCamera(all), false);
          return Upload.LIST_IGNORE;
        }}
      >
        <Button>{WORDS.codePictures}</Button>
      </Upload>
    </div>
  );
}
