import { Input, Table, type TableColumnsType } from 'antd';
import { useMemo, useState } from 'react';
import { isThere } from '@/core/navigation/ways/way';
import { shownBearing } from '@/core/north/norths';
import { northShown } from '@/core/survey/solution';
import { bearingText, distanceText } from '@/ui/units/shown';
import type { MapBase, PlacedLayer } from './base';
import { MAP_LAYER_IDS, mapLayer } from './layers';
import type { MapContext } from './layers/context';
import styles from './map.module.css';
import { thingsOf, wayFromYou, type Thing } from './things/thing';
import { WORDS } from './words';

interface Props {
  base: MapBase;
  context: MapContext;
  placed: readonly PlacedLayer[];
  /** The key of what is chosen. */
  chosen: string | null;
  onChoose: (key: string) => void;
}

/** A thing of the map, and how it lies from the traveller. */
interface Row extends Thing {
  readonly what: string;
  /** For sorting; null where there is no way to it. */
  readonly degrees: number | null;
  readonly metres: number | null;
  readonly bearing: string;
}

function rowOf(thing: Thing, base: MapBase, { solution }: MapContext): Row {
  const what = mapLayer(thing.layer).label;
  const way = solution && wayFromYou(solution, base, thing.at);
  if (!way || isThere(way)) return { ...thing, what, degrees: null, metres: null, bearing: '' };
  const { degrees, north } = shownBearing(way.bearing, northShown(solution));
  const metres = way.distanceMetres;
  return { ...thing, what, degrees, metres, bearing: `${bearingText(degrees)} ${north}` };
}

const last = (value: number | null) => value ?? Infinity;

/** The columns; the name of a row chooses its thing. */
const columnsOf = (
  chosen: string | null,
  onChoose: (key: string) => void,
): TableColumnsType<Row> => [
  {
    title: WORDS.table.name,
    dataIndex: 'name',
    sorter: (a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }),
    render: (name: string, { key }) => (
      <button
        type="button"
        className={styles.rowButton}
        aria-pressed={key === chosen}
        onClick={() => onChoose(key)}
      >
        {name}
      </button>
    ),
  },
  {
    title: WORDS.table.layer,
    dataIndex: 'what',
    sorter: (a, b) => a.what.localeCompare(b.what),
    filters: MAP_LAYER_IDS.map((id) => ({ text: mapLayer(id).label, value: id })),
    onFilter: (value, { layer }) => layer === value,
  },
  {
    title: WORDS.table.bearing,
    dataIndex: 'bearing',
    sorter: (a, b) => last(a.degrees) - last(b.degrees),
  },
  {
    title: WORDS.table.distance,
    dataIndex: 'metres',
    sorter: (a, b) => last(a.metres) - last(b.metres),
    render: (metres: number | null) => (metres === null ? '' : distanceText(metres)),
  },
];

/** Everything on the map in rows that sort and filter; choosing a row chooses the thing. */
export function MapTable({ base, context, placed, chosen, onChoose }: Props) {
  const [sought, setSought] = useState('');
  const rows = useMemo(
    () => thingsOf(context, placed).map((thing) => rowOf(thing, base, context)),
    [context, placed, base],
  );
  const words = sought.trim().toLowerCase();
  const shown = rows.filter(({ name }) => name.toLowerCase().includes(words));
  const columns = useMemo(() => columnsOf(chosen, onChoose), [chosen, onChoose]);
  return (
    <section className={styles.table} aria-label={WORDS.table.title} data-testid="map-table">
      <Input.Search
        aria-label={WORDS.table.search}
        placeholder={WORDS.table.search}
        value={sought}
        allowClear
        onChange={(event) => setSought(event.target.value)}
        onSearch={() => shown[0] && onChoose(shown[0].key)}
      />
      <Table<Row>
        size="small"
        rowKey="key"
        columns={columns}
        dataSource={shown}
        pagination={{ pageSize: 50, hideOnSinglePage: true, showSizeChanger: false }}
        rowClassName={({ key }) => (key === chosen ? (styles.chosenRow ?? '') : '')}
        onRow={({ key }) => ({ onClick: () => onChoose(key) })}
        locale={{ emptyText: WORDS.table.none }}
      />
    </section>
  );
}
