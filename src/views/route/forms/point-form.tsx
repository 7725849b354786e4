import { Checkbox, Form, Input, Radio, Select } from 'antd';
import type { RoutePoint } from '@/core/model/route';
import { visibleText } from '@/core/units/visible';
import { PressButton } from '@/ui/controls/press-button';
import styles from '../route.module.css';
import { WORDS } from '../words';
import { usePointDraft, type HowKnown } from './use-point-draft';

interface Props {
  /** The point before, whose name a measure on paper begins at; null for the first. */
  from: RoutePoint | null;
  /** The point that is changed; null for a new one. */
  edited: RoutePoint | null;
  onSave: (point: RoutePoint, grid: string | undefined) => Promise<boolean>;
  onCancel?: (() => void) | undefined;
}

/** A point by its name, and one of the ways in which people know where it is. */
export function PointForm(props: Props) {
  const draft = usePointDraft(props);
  const { fields, set, asked, put, point } = draft;
  const ways = (['typed', 'known', 'paper', 'station'] as const).filter(
    (way) => way !== 'paper' || props.from !== null,
  );
  const nameFault = asked && fields.name.trim() === '' ? WORDS.needsName : undefined;
  return (
    <Form layout="vertical" className={styles.form}>
      <Form.Item
        label={WORDS.pointName}
        htmlFor="point-name"
        validateStatus={nameFault ? 'error' : undefined}
        help={nameFault}
      >
        <Input
          id="point-name"
          value={fields.name}
          maxLength={200}
          autoComplete="off"
          onChange={(event) => set({ name: event.target.value })}
          onPressEnter={() => void put()}
        />
      </Form.Item>
      <Form.Item label={WORDS.how}>
        <Radio.Group
          className={styles.rooms}
          aria-label={WORDS.how}
          optionType="button"
          value={fields.how}
          options={ways.map((value) => ({ value, label: WORDS.ways[value] }))}
          onChange={({ target }) => set({ how: target.value as HowKnown })}
        />
      </Form.Item>
      <Where draft={draft} from={props.from} />
      <Form.Item label={WORDS.note} htmlFor="point-note">
        <Input
          id="point-note"
          value={fields.note}
          maxLength={500}
          autoComplete="off"
          onChange={(event) => set({ note: event.target.value })}
          onPressEnter={() => void put()}
        />
      </Form.Item>
      <Checkbox
        checked={fields.isAttack}
        onChange={({ target }) => set({ isAttack: target.checked })}
      >
        {WORDS.isAttack}
      </Checkbox>
      <div className={styles.row}>
        <PressButton look="primary" large disabled={!point} onClick={() => void put()}>
          {props.edited ? WORDS.save : WORDS.add}
        </PressButton>
        {props.onCancel && <PressButton onClick={props.onCancel}>{WORDS.cancel}</PressButton>}
      </div>
    </Form>
  );
}

type Draft = ReturnType<typeof usePointDraft>;

/** Where the point is, by the way that was chosen. */
function Where({ draft, from }: { draft: Draft; from: RoutePoint | null }) {
  const { fields, known, stations } = draft;
  switch (fields.how) {
    case 'typed':
      return <Typed draft={draft} />;
    case 'known':
      return (
        <Form.Item label={WORDS.knownPlace} htmlFor="point-known">
          {known.length === 0 ? (
            <p className={styles.soft}>{WORDS.noKnown}</p>
          ) : (
            <Select
              id="point-known"
              aria-label={WORDS.knownPlace}
              showSearch={{ optionFilterProp: 'label' }}
              value={fields.known}
              options={known.map(({ id, name }) => ({ value: id, label: visibleText(name) }))}
              onChange={(id: string) => draft.chooseKnown(id)}
            />
          )}
        </Form.Item>
      );
    case 'paper':
      return <Measured draft={draft} from={from} />;
    case 'station':
      return (
        <Form.Item label={WORDS.station} htmlFor="point-station">
          <Select
            id="point-station"
            aria-label={WORDS.station}
            showSearch={{ optionFilterProp: 'label' }}
            value={fields.station}
            options={stations.map(({ key, label }) => ({ value: key, label }))}
            onChange={(key: string) => draft.chooseStation(key)}
          />
        </Form.Item>
      );
  }
}

/** Bearing and length on paper, from the point before. */
function Measured({ draft, from }: { draft: Draft; from: RoutePoint | null }) {
  const { fields, set, wrong, put } = draft;
  const rows = [
    ['bearing', WORDS.bearing, WORDS.bearingHelp(visibleText(from?.name ?? ''))],
    ['length', WORDS.length, WORDS.lengthHelp],
    ['scale', WORDS.scaleField, WORDS.scaleHelp],
  ] as const;
  return (
    <>
      {rows.map(([field, label, help]) => (
        <Form.Item key={field} label={label} htmlFor={`point-${field}`} help={help}>
          <Input
            id={`point-${field}`}
            className={styles.figureField}
            value={fields[field]}
            autoComplete="off"
            onChange={(event) => set({ [field]: event.target.value })}
            onPressEnter={() => void put()}
          />
        </Form.Item>
      ))}
      {wrong && (
        <p className={styles.warning} role="alert">
          {wrong}
        </p>
      )}
    </>
  );
}

/** A place in any notation. */
function Typed({ draft: { fields, set, wrong, put } }: { draft: Draft }) {
  return (
    <>
      <Form.Item
        label={WORDS.place}
        htmlFor="point-place"
        validateStatus={wrong ? 'error' : undefined}
        help={wrong ?? WORDS.placeHelp}
      >
        <Input
          id="point-place"
          className={styles.figureField}
          value={fields.place}
          autoComplete="off"
          onChange={(event) => set({ place: event.target.value })}
          onPressEnter={() => void put()}
        />
      </Form.Item>
      <Form.Item label={WORDS.square} htmlFor="point-square">
        <Input
          id="point-square"
          className={styles.figureField}
          value={fields.square}
          autoComplete="off"
          onChange={(event) => set({ square: event.target.value })}
        />
      </Form.Item>
    </>
  );
}
