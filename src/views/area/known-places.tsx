import { Form, Select } from 'antd';
import { useState } from 'react';
import { shownPlace } from '@/views/shared/fields/grid-choice';
import { areaStationOf } from '@/core/survey/party/area-members';
import type { Survey } from '@/core/survey/party/survey';
import { visibleText } from '@/core/units/visible';
import { PressButton } from '@/ui/controls/press-button';
import { PlaceField, placeTextOf } from '@/views/shared/fields/place-field';
import { Section } from '@/views/shared/page/view-page';
import styles from './area.module.css';
import type { OpenArea } from './use-area';
import { WORDS } from './words';
import { nth } from '@/core/units/nth';
import layout from '@/views/shared/page/layout.module.css';

/** Places whose position a map tells: readings like any other, and good ones. */
export function KnownPlaces({ open, survey }: { open: OpenArea; survey: Survey }) {
  const { actions, answer } = open;
  const [node, setNode] = useState<number | null>(null);
  const [place, setPlace] = useState(placeTextOf(undefined));
  if (!survey.places.frame.origin) {
    return (
      <Section id="area-known" title={WORDS.known}>
        <p className={styles.soft}>{WORDS.knownNeeds}</p>
      </Section>
    );
  }
  const add = () => {
    const { position } = place;
    if (node === null || !position) return;
    const station = areaStationOf(answer.found, nth(nth(survey.party.nodes.all, node).stations, 0));
    setPlace(placeTextOf(undefined));
    setNode(null);
    void actions.change((before) => ({
      ...before,
      known: [...(before.known ?? []), { ...station, position }],
    }));
  };
  // The origin is where its outing says that it is.
  const places = survey.party.nodes.all.slice(1).map(({ name }, index) => ({
    value: index + 1,
    label: visibleText(name),
  }));
  return (
    <Section id="area-known" title={WORDS.known}>
      <p className={styles.soft}>{WORDS.knownWhy}</p>
      <KnownList open={open} />
      <Select
        className={styles.select}
        aria-label={WORDS.knownPlace}
        placeholder={WORDS.knownPlace}
        showSearch={{ optionFilterProp: 'label' }}
        value={node}
        options={places}
        onChange={setNode}
      />
      <Form layout="vertical">
        <PlaceField place={place} onChange={setPlace} label={WORDS.position} />
      </Form>
      <PressButton disabled={node === null || !place.position} onClick={add}>
        {WORDS.knownAdd}
      </PressButton>
    </Section>
  );
}

/** The places that are known, each to be taken out again. */
function KnownList({ open: { area, actions } }: { open: OpenArea }) {
  const remove = (index: number) =>
    void actions.change((before) => ({
      ...before,
      known: (before.known ?? []).toSpliced(index, 1),
    }));
  return (
    <ul className={styles.rows}>
      {(area.known ?? []).map(({ station, position }, index) => (
        <li key={index} className={layout.row}>
          <span className={styles.grow}>
            {WORDS.knownAt(visibleText(station), shownPlace(position))}
          </span>
          <PressButton look="plain" onClick={() => remove(index)}>
            {WORDS.knownRemove}
          </PressButton>
        </li>
      ))}
    </ul>
  );
}
