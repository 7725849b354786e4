import { Checkbox, Form, Input } from 'antd';
import { useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import type { KnownPlace } from '@/core/model/known-place';
import { readTypedPlaces } from '@/core/navigation/fix/typed-places';
import { decimalDegrees } from '@/core/readings/place/degrees-text';
import { nameKey } from '@/core/readings/name';
import type { Position } from '@/core/readings/position';
import { PressButton } from '@/ui/controls/press-button';
import { firstSquare, keepSquare } from '@/views/shared/fields/grid-choice';
import styles from '../fix.module.css';
import type { Known } from '../use-known';
import { PLACES_WORDS as WORDS } from '../words';

interface Props {
  known: Known;
  /** Where one is, for the square of short references; null where that is not known. */
  at: Position | null;
  edited: KnownPlace | null;
  /** Called with the place that was saved, or null where it was cancelled. */
  onDone: (saved: KnownPlace | null) => void;
}

type Placed = Pick<KnownPlace, 'positions' | 'withinMetres'>;

/** A known place but for its id: what it had beside what is typed stays. */
function aboutPlace(edited: KnownPlace | null, name: string, isMarked: boolean, placed: Placed) {
  const { withinMetres: _within, isBarrier: _barrier, isCrossing: _gate, ...rest } = edited ?? {};
  const mark = placed.positions.length > 1 ? { isBarrier: true } : { isCrossing: true };
  return { ...rest, ...(isMarked && mark), ...placed, name: name.replace(/[\s;]+/g, ' ').trim() };
}

/** What is typed of a known place, what is wrong with it, and how it is stored. */
function useTyped({ known, at, edited, onDone }: Props) {
  const usual = at ?? known.places[0]?.positions[0];
  const [square, setSquare] = useState(() => firstSquare(usual));
  const [name, setName] = useState(edited?.name ?? '');
  const [where, setWhere] = useState(() => edited?.positions.map(decimalDegrees).join('\n') ?? '');
  const [isMarked, setIsMarked] = useState(
    edited?.isBarrier === true || edited?.isCrossing === true,
  );
  const [asked, setAsked] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const read = where.trim() === '' ? null : readTypedPlaces(where, square.trim() || null);
  const nameFault = !asked || name.trim() !== '' ? null : WORDS.needsName;
  const isTaken = known.places.some(
    (place) => place.id !== edited?.id && nameKey(place.name) === nameKey(name),
  );
  const wrong =
    read && !read.ok ? rowMessage(where, read.fault.row, faultMessage(read.fault.fault)) : null;
  const put = async () => {
    setAsked(true);
    if (!read?.ok || name.trim() === '' || isTaken) return;
    keepSquare(square, read.value.positions[0]);
    const id = edited?.id ?? known.newId();
    const place = { ...aboutPlace(edited, name, isMarked, read.value), id };
    const refused = await known.put(place, edited);
    setFault(refused);
    if (refused) return;
    setName('');
    setWhere('');
    setIsMarked(false);
    setAsked(false);
    onDone(place);
  };
  return {
    square,
    setSquare,
    name,
    setName,
    where,
    setWhere,
    isMarked,
    setIsMarked,
    nameFault,
    isTaken,
    wrong,
    read,
    fault,
    put,
  };
}

/** A line that is not to be crossed, or a point where one may be. */
const Marked = ({ typed }: { typed: ReturnType<typeof useTyped> }) => {
  const isLineTyped = typed.read?.ok === true && typed.read.value.positions.length > 1;
  return (
    <Form.Item>
      <Checkbox
        checked={typed.isMarked}
        onChange={({ target }) => typed.setIsMarked(target.checked)}
      >
        {isLineTyped ? WORDS.barrier : WORDS.crossing}
      </Checkbox>
    </Form.Item>
  );
};

/** A name and a position, or one position on each row for a line. */
export function PlaceForm(props: Props) {
  const typed = useTyped(props);
  const { name, where, square, nameFault, isTaken, wrong, read, fault, put } = typed;
  return (
    <Form layout="vertical" className={styles.form}>
      <Form.Item
        label={WORDS.name}
        htmlFor="known-name"
        validateStatus={nameFault || isTaken ? 'error' : undefined}
        help={nameFault ?? (isTaken ? WORDS.nameTaken : undefined)}
      >
        <Input
          id="known-name"
          value={name}
          maxLength={200}
          onChange={(event) => typed.setName(event.target.value)}
          onPressEnter={() => void put()}
          autoComplete="off"
        />
      </Form.Item>
      <Form.Item
        label={WORDS.where}
        htmlFor="known-where"
        validateStatus={wrong ? 'error' : undefined}
        help={wrong ?? WORDS.help}
      >
        <Input.TextArea
          id="known-where"
          className={styles.figureField}
          autoSize={{ minRows: 1, maxRows: 8 }}
          value={where}
          onChange={(event) => typed.setWhere(event.target.value)}
          autoComplete="off"
        />
      </Form.Item>
      <Form.Item label={WORDS.square} htmlFor="known-square" help={WORDS.squareHint}>
        <Input
          id="known-square"
          className={styles.figureField}
          value={square}
          onChange={(event) => typed.setSquare(event.target.value)}
          onPressEnter={() => void put()}
          autoComplete="off"
        />
      </Form.Item>
      <Marked typed={typed} />
      {fault && <p className={styles.warning}>{fault}</p>}
      <div className={styles.row}>
        <PressButton look="primary" large disabled={!read?.ok} onClick={() => void put()}>
          {read?.ok && read.value.positions.length > 1 ? WORDS.saveLine : WORDS.save}
        </PressButton>
        {props.edited && (
          <PressButton onClick={() => props.onDone(null)}>{WORDS.cancel}</PressButton>
        )}
      </div>
    </Form>
  );
}

const rowMessage = (where: string, row: number, message: string) =>
  where.includes('\n') ? WORDS.row(row, message) : message;
