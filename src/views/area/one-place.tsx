import type { AreaStation } from '@/core/model/area';
import { nameOf } from '@/core/survey/party/party';
import { visibleText } from '@/core/units/visible';
import { PressButton } from '@/ui/controls/press-button';
import { Section } from '@/views/shared/page/view-page';
import styles from './area.module.css';
import type { OpenArea } from './use-area';
import { WORDS } from './words';
import { nth } from '@/core/units/nth';
import layout from '@/views/shared/page/layout.module.css';

/** Stations that may be one: asked, never assumed. */
export function OnePlace({ open }: { open: OpenArea }) {
  const { area, answer, actions } = open;
  const { named, joined, found } = answer;
  const near = joined.ok ? joined.near : [];
  if (area.same.length === 0 && named.length === 0 && near.length === 0) return null;
  const outingName = ({ outing }: AreaStation) => {
    const index = found.ids.indexOf(outing);
    return index < 0 ? '' : visibleText(nameOf(found, index));
  };
  const title = (stations: readonly AreaStation[]) =>
    WORDS.sameName(visibleText(nth(stations, 0).station), stations.map(outingName).join(', '));
  const nameIn = (each: AreaStation) => `${visibleText(each.station)} (${outingName(each)})`;
  const asked = [
    ...named.map((stations) => ({ stations, words: title(stations) })),
    ...near.map(({ stations, metres }) => ({
      stations,
      words: WORDS.near(nameIn(stations[0]), nameIn(stations[1]), metres),
    })),
  ];
  const say = (kind: 'same' | 'apart', groups: readonly (readonly AreaStation[])[]) =>
    void actions.change((before) => ({
      ...before,
      [kind]: [...before[kind], ...groups.map((stations) => ({ stations: [...stations] }))],
    }));
  return (
    <Section id="one-place" title={WORDS.onePlace}>
      {asked.length > 0 && <p className={styles.soft}>{WORDS.onePlaceWhy}</p>}
      <ul className={styles.rows}>
        {asked.map(({ stations, words }) => (
          <li key={words} className={layout.row}>
            <span className={styles.grow}>{words}</span>
            <PressButton look="primary" onClick={() => say('same', [stations])}>
              {WORDS.same}
            </PressButton>
            <PressButton onClick={() => say('apart', [stations])}>{WORDS.apart}</PressButton>
          </li>
        ))}
      </ul>
      {named.length > 1 && (
        <PressButton onClick={() => say('same', named)}>{WORDS.sameAll}</PressButton>
      )}
      <JoinedPlaces open={open} title={title} />
      {found.lost.length > 0 && (
        <p role="status">{WORDS.lost(found.lost.map(({ station }) => station).join(', '))}</p>
      )}
    </Section>
  );
}

interface JoinedProps {
  open: OpenArea;
  title: (stations: readonly AreaStation[]) => string;
}

/** The places that were joined, each to be split again. */
function JoinedPlaces({ open: { area, actions }, title }: JoinedProps) {
  if (area.same.length === 0) return null;
  const split = (index: number) =>
    void actions.change((before) => ({ ...before, same: before.same.toSpliced(index, 1) }));
  return (
    <details className={styles.details}>
      <summary>
        {WORDS.joined} ({area.same.length})
      </summary>
      <ul className={styles.rows}>
        {area.same.map((group, index) => (
          <li key={index} className={layout.row}>
            <span className={styles.grow}>{title(group.stations)}</span>
            <PressButton look="plain" onClick={() => split(index)}>
              {WORDS.split}
            </PressButton>
          </li>
        ))}
      </ul>
    </details>
  );
}
