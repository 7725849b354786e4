'use client';
import { useCallback, useState } from 'react';
import type { MapPicture } from '@/core/model/map-picture';
import { visibleText } from '@/core/units/visible';
import { mapPictures, pictureFile, removePicture } from '@/store/pictures/pictures';
import { storeFault } from '@/store/store-fault';
import { PressButton } from '@/ui/controls/press-button';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { useLive } from '@/ui/use-live';
import { browserDatabase, leaveFor } from '@/store/browser-database';
import { Section, ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import { AddPicture } from './add/add-picture';
import styles from './map.module.css';
import { Thumbnail } from './thumbnail';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  /** What the picture is chosen for. */
  route: string | null;
  outing: string | null;
}

/** The pictures of maps on this device, and how to add one. */
export function PictureList({ route, outing }: Props) {
  const live = useLive(useCallback(() => mapPictures(browserDatabase()), []));
  const pictures = live && 'value' in live ? live.value : [];
  const bytes = pictures.reduce((sum, picture) => sum + picture.bytes, 0);
  const about = { ...(route !== null && { route }), ...(outing !== null && { outing }) };
  const urlOf = (id: string) => viewUrl('map', id, about);
  return (
    <ViewPage view="map" back={{ href: viewUrl('route'), words: 'Routes' }} width="medium">
      <Section id="pictures" title={WORDS.pictures}>
        {live && 'error' in live && <p role="alert">{STORE_MESSAGES[storeFault(live.error)]}</p>}
        {route !== null && <p>{WORDS.chooseFor}</p>}
        {live && pictures.length === 0 && <p>{WORDS.none}</p>}
        <ul className={styles.list}>
          {pictures.map((picture) => (
            <PictureRow key={picture.id} picture={picture} href={urlOf(picture.id)} />
          ))}
        </ul>
        {bytes > 0 && <p className={layout.soft}>{WORDS.kept(bytes)}</p>}
        <AddPicture onAdded={(id) => void leaveFor(urlOf(id))} />
      </Section>
    </ViewPage>
  );
}

function PictureRow({ picture, href }: { picture: MapPicture; href: string }) {
  const [asked, setAsked] = useState(false);
  const { id, name, width, height, bytes } = picture;
  const stored = useLive(useCallback(() => pictureFile(browserDatabase(), id), [id]));
  const small = stored && 'value' in stored ? stored.value?.thumbnail : undefined;
  return (
    <li>
      <a href={href}>
        {small && <Thumbnail blob={small} />}
        <span className={styles.grow}>
          <b>{visibleText(name)}</b>
          <br />
          <span className={layout.soft}>{WORDS.about(width, height, bytes)}</span>
        </span>
      </a>
      <PressButton
        look="plain"
        onClick={() => (asked ? void removePicture(browserDatabase(), id) : setAsked(true))}
      >
        {asked ? WORDS.reallyRemove : WORDS.remove}
      </PressButton>
    </li>
  );
}
