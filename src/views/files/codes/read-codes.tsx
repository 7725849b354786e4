import { Button, Upload } from 'antd';
import { pictureCamera } from '@/devices/picture-camera';
import { missingFrames } from '@/formats/qr-frames';
import styles from '../files.module.css';
import { WORDS } from '../words';
import { useCodeReader } from './use-code-reader';

/** Reads QR codes until a whole series was seen. */
export function ReadCodes({ onText }: { onText: (text: string) => void }) {
  const { video, seen, status, hasCamera, look } = useCodeReader(onText);
  const missing = seen ? missingFrames(seen) : [];
  return (
    <div className={styles.codes}>
      <video
        ref={video}
        className={styles.video}
        hidden={!hasCamera}
        muted
        playsInline
        aria-hidden="true"
      />
      <div role="status" data-testid="codes-seen">
        {seen && <p>{WORDS.seen(seen.parts.length - missing.length, seen.parts.length)}</p>}
        {missing.length > 0 && <p>{WORDS.missing(missing)}</p>}
        {status && <p>{status}</p>}
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
