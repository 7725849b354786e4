import { Select, Slider, Switch } from 'antd';
import { useId, type ReactNode } from 'react';
import type { MapPicture } from '@/core/model/map-picture';
import { visibleText } from '@/core/units/visible';
import type { Ground } from '@/views/shared/sketch/ground';
import { LAYER_WORDS } from '@/views/shared/sketch/ground-words';
import { outingInList } from '@/views/shared/words/outing-about';
import { viewUrl } from '@/views/views';
import type { MapBase } from '../base';
import { MAP_LAYER_IDS, mapLayer, SURE, type MapLayerId } from '../layers';
import type { MapContext } from '../layers/context';
import { LayerKey } from '../layers/layer-key';
import type { MapChoices } from '../map-choices';
import styles from '../map.module.css';
import { WORDS } from '../words';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  base: MapBase;
  context: MapContext;
  choices: MapChoices;
  choose: (change: Partial<MapChoices>) => unknown;
  show: (layer: string, isShown: boolean) => unknown;
  ground: Ground;
  pictures: readonly MapPicture[];
}

/** All layers of the map: each with a switch, the key of its marks, and what it is of. */
export function LayersPanel(props: Props) {
  const { base, context, choices, choose, show, ground } = props;
  const outing = context.solution?.outing.id;
  return (
    <section className={styles.layers} aria-label={WORDS.layers}>
      <PictureRow {...props} />
      {(Object.keys(LAYER_WORDS) as (keyof typeof LAYER_WORDS)[]).map((name) => (
        <LayerRow
          key={name}
          label={LAYER_WORDS[name].label}
          sample={<LayerKey of="contour" />}
          isOn={ground.hasPlace && ground.chosen[name]}
          missing={ground.hasPlace ? null : LAYER_WORDS[name].noPlace}
          onSwitch={(isOn) => void ground.choose({ [name]: isOn })}
        />
      ))}
      <LayerRow
        label={WORDS.grid}
        isOn={choices.grid && !base.opened}
        missing={base.opened ? WORDS.gridOfPicture : null}
        onSwitch={(isOn) => choose({ grid: isOn })}
      />
      {MAP_LAYER_IDS.map((id) => (
        <LayerRow
          key={id}
          label={mapLayer(id).label}
          sample={<LayerKey of={mapLayer(id).key} />}
          isOn={!choices.off.includes(id)}
          missing={missingOf(id, base, context)}
          onSwitch={(isOn) => show(id, isOn)}
        >
          <LayerOf id={id} context={context} choose={choose} choices={choices} />
        </LayerRow>
      ))}
      <LayerRow
        label={WORDS.sure}
        sample={<LayerKey of="ellipse" />}
        isOn={!choices.off.includes(SURE)}
        missing={null}
        onSwitch={(isOn) => show(SURE, isOn)}
      />
      {base.origin === null && base.tie !== null && (
        <p className={layout.soft}>
          {WORDS.noEarth} <a href={viewUrl('fix', outing)}>{WORDS.toFix}</a>
        </p>
      )}
    </section>
  );
}

/** Why a layer draws nothing; null where it does, or where there simply is nothing of it. */
function missingOf(id: MapLayerId, base: MapBase, context: MapContext): string | null {
  const drawn = mapLayer(id).of(context);
  if (drawn.length === 0) return WORDS.nothingOf;
  return drawn.some(({ origin }) => base.placeOf(origin)) ? null : WORDS.needsEarth;
}

interface RowProps {
  label: string;
  /** A piece of what it draws. */
  sample?: ReactNode;
  isOn: boolean;
  /** Why it draws nothing. */
  missing: string | null;
  onSwitch: (isOn: boolean) => void;
  children?: ReactNode;
}

function LayerRow({ label, sample, isOn, missing, onSwitch, children }: RowProps) {
  const id = useId();
  return (
    <div className={styles.layerRow} data-missing={missing ? true : undefined}>
      <span className={styles.layerHead}>
        <Switch
          size="small"
          aria-labelledby={id}
          checked={isOn}
          title={missing ?? undefined}
          onChange={onSwitch}
        />
        <label id={id}>{label}</label>
        {missing ? <small>{missing}</small> : sample}
      </span>
      {children}
    </div>
  );
}

/** The picture that lies below, and its strength. */
function PictureRow({ base, context, choices, choose, pictures }: Props) {
  const { opened } = base;
  const outing = context.solution?.outing.id;
  return (
    <LayerRow
      label={WORDS.picture}
      isOn={opened !== null}
      missing={pictures.length === 0 ? WORDS.nothingOf : null}
      onSwitch={(isOn) => choose({ picture: isOn ? (pictures[0]?.id ?? null) : null })}
    >
      {opened && (
        <>
          {pictures.length > 1 && (
            <Select
              className={styles.wide}
              aria-label={WORDS.whichPicture}
              value={opened.picture.id}
              options={pictures.map(({ id, name }) => ({ value: id, label: visibleText(name) }))}
              onChange={(picture) => choose({ picture })}
            />
          )}
          <Slider
            aria-label={WORDS.strength}
            ariaLabelForHandle={WORDS.strength}
            min={10}
            max={100}
            step={5}
            value={choices.strength}
            tooltip={{ formatter: (value) => `${value} %` }}
            onChange={(strength: number) => choose({ strength })}
          />
        </>
      )}
      <a
        className={styles.rowLink}
        href={viewUrl('map', undefined, { pictures: '', ...(outing && { outing }) })}
      >
        {WORDS.toPictures}
      </a>
    </LayerRow>
  );
}

interface OfProps {
  id: MapLayerId;
  context: MapContext;
  choices: MapChoices;
  choose: (change: Partial<MapChoices>) => unknown;
}

/** Which route, area or outings a layer shows, where there are several. */
function LayerOf({ id, context, choices, choose }: OfProps) {
  const { there, route, area, solution } = context;
  if (id === 'outings') {
    const others = there.outings.filter((each) => each.id !== solution?.outing.id);
    return others.length === 0 ? null : (
      <Select
        className={styles.wide}
        mode="multiple"
        aria-label={WORDS.whichOutings}
        placeholder={WORDS.whichOutings}
        maxTagCount="responsive"
        value={choices.outings.filter((each) => others.some((other) => other.id === each))}
        options={others.map((each) => ({ value: each.id, label: outingInList(each, each.id) }))}
        onChange={(outings: string[]) => choose({ outings })}
      />
    );
  }
  const lists = { route: there.routes, area: there.areas } as const;
  if (id !== 'route' && id !== 'area') return null;
  const list = lists[id];
  if (list.length < (id === 'route' ? 2 : 1)) return null;
  return (
    <Select
      className={styles.wide}
      aria-label={WORDS.which[id]}
      placeholder={WORDS.which[id]}
      showSearch={{ optionFilterProp: 'label' }}
      value={(id === 'route' ? route : area)?.id ?? null}
      options={list.map((each) => ({ value: each.id, label: visibleText(each.name) || each.id }))}
      onChange={(chosen: string) => choose({ [id]: chosen })}
    />
  );
}
