import { Input } from 'antd';
import { useState } from 'react';
import { isLine } from '@/core/model/known-place';
import { readBearingText } from '@/core/readings/texts/read-bearing-text';
import { faultMessage } from '@/core/faults/messages';
import { PressButton } from '@/ui/controls/press-button';
import { viewUrl } from '@/views/views';
import styles from '../map.module.css';
import { WORDS } from '../words';
import type { ThingProps } from './thing-props';

/** A known place: a bearing to it is taken here, for the fix. */
export function KnownThing({ thing, context, actions }: ThingProps) {
  const place = context.there.known.find(({ id }) => id === thing.mark);
  if (!place || !context.solution) return null;
  if (isLine(place)) return null;
  return <BearingTo key={place.id} place={place.id} actions={actions} context={context} />;
}

type BearingProps = Pick<ThingProps, 'actions' | 'context'> & { place: string };

function BearingTo({ place, actions, context }: BearingProps) {
  const [text, setText] = useState(() => actions.sighted(place));
  const [said, setSaid] = useState<string | null>(null);
  const { solution } = context;
  const read = readBearingText(text, solution?.end.readingNorth ?? 'magnetic');
  const keep = async () => {
    if (!read.ok) return setSaid(faultMessage(read.fault));
    await actions.sight(place, text.trim());
    setSaid(WORDS.sightKept);
  };
  return (
    <div className={styles.form}>
      <label htmlFor="map-sight">{WORDS.sight}</label>
      <div className={styles.row}>
        <Input
          id="map-sight"
          className={styles.short}
          value={text}
          inputMode="decimal"
          autoComplete="off"
          onChange={(event) => {
            setText(event.target.value);
            setSaid(null);
          }}
          onPressEnter={() => void keep()}
        />
        <PressButton disabled={text.trim() === ''} onClick={() => void keep()}>
          {WORDS.sightKeep}
        </PressButton>
      </div>
      <p role="status">{said}</p>
      <PressButton look="plain" href={viewUrl('fix', solution?.outing.id)}>
        {WORDS.toFix}
      </PressButton>
    </div>
  );
}
