import { useRef, useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { isLine, type KnownPlace } from '@/core/model/known-place';
import { shownPlace, shownSquare } from '@/views/shared/fields/grid-choice';
import type { Position } from '@/core/readings/position';
import { visibleText } from '@/core/units/visible';
import { KNOWN_FORMATS, readKnownFile } from '@/formats/fix/known-files';
import { PressButton } from '@/ui/controls/press-button';
import { save } from '@/views/shared/data/save-file';
import styles from '../fix.module.css';
import type { Known } from '../use-known';
import { PlaceForm } from './place-form';
import { PLACES_WORDS as WORDS } from '../words';
import { nth } from '@/core/units/nth';
import layout from '@/views/shared/page/layout.module.css';
import { SHARED_WORDS } from '@/views/shared/words/words';

interface Props {
  known: Known;
  /** Where one is, for the square of short references; null where that is not known. */
  at: Position | null;
}

/** The places and lines of the map, kept on this device for all outings. */
export function PlacesTab({ known, at }: Props) {
  const [edited, setEdited] = useState<KnownPlace | null>(null);
  const [done, setDone] = useState<{ id: string; words: string } | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const remove = async (place: KnownPlace) => {
    const fault = await known.remove(place.id);
    setSaid(fault);
    if (!fault) setDone({ id: place.id, words: WORDS.removed(place.name) });
  };
  const undo = async (id: string) => {
    setDone(null);
    setSaid((await known.undo(id)) ?? WORDS.undone);
  };
  return (
    <>
      <p className={layout.soft}>{WORDS.why}</p>
      {known.fault && <p className={styles.warning}>{known.fault}</p>}
      <PlaceRows
        places={known.places}
        onEdit={setEdited}
        onRemove={(place) => void remove(place)}
      />
      <p role="status">
        {done && (
          <>
            {done.words}{' '}
            <PressButton onClick={() => void undo(done.id)}>{SHARED_WORDS.undo}</PressButton>
          </>
        )}
      </p>
      <PlaceForm
        key={edited?.id ?? `new ${known.places.length}`}
        known={known}
        at={at}
        edited={edited}
        onDone={(changed) => {
          setEdited(null);
          if (changed) setDone({ id: changed.id, words: WORDS.changed(changed.name) });
        }}
      />
      <Exchange known={known} at={at} onSaid={setSaid} />
      <p role="status">{said}</p>
    </>
  );
}

interface RowProps {
  places: readonly KnownPlace[];
  onEdit: (place: KnownPlace) => void;
  onRemove: (place: KnownPlace) => void;
}

const PlaceRows = ({ places, onEdit, onRemove }: RowProps) => (
  <ul className={styles.rows}>
    {places.map((place) => (
      <li key={place.id}>
        <span className={styles.sight}>
          <b>{visibleText(place.name)}</b>
          <small className={layout.soft}>{aboutPlace(place)}</small>
        </span>
        <PressButton
          look="plain"
          onClick={() => onEdit(place)}
          aria-label={`${WORDS.edit} ${visibleText(place.name)}`}
        >
          {WORDS.edit}
        </PressButton>
        <PressButton
          look="plain"
          onClick={() => onRemove(place)}
          aria-label={`${WORDS.remove} ${visibleText(place.name)}`}
        >
          {WORDS.remove}
        </PressButton>
      </li>
    ))}
  </ul>
);

const aboutPlace = (place: KnownPlace): string =>
  isLine(place) ? WORDS.line(place.positions.length) : shownPlace(nth(place.positions, 0));

/** Files of known places, in and out. */
function Exchange({ known, at, onSaid }: Props & { onSaid: (words: string | null) => void }) {
  const picker = useRef<HTMLInputElement>(null);
  const open = async (file: File) => {
    const square = at && shownSquare(at);
    const bytes = new Uint8Array(await file.arrayBuffer());
    const read = readKnownFile(file.name, bytes, square, known.newId);
    if (!read.ok) return onSaid(read.fault.map(({ fault }) => faultMessage(fault)).join(' '));
    const refused = await known.addAll(read.value);
    onSaid(refused ?? WORDS.imported(read.value.length));
  };
  return (
    <div className={styles.row}>
      <PressButton onClick={() => picker.current?.click()}>{WORDS.import}</PressButton>
      <input
        ref={picker}
        type="file"
        hidden
        aria-label={WORDS.import}
        accept=".gpx,.geojson,.json,.csv,.txt"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          target.value = '';
          if (file) void open(file);
        }}
      />
      {known.places.length > 0 &&
        KNOWN_FORMATS.map(({ name, fileEnding, mediaType, write }) => (
          <PressButton
            key={name}
            onClick={() => {
              const text = write(known.places, new Date().toISOString());
              void save(`known-places${fileEnding}`, new Blob([text], { type: mediaType }));
            }}
          >
            {WORDS.export[name]}
          </PressButton>
        ))}
    </div>
  );
}
