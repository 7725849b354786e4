import { AutoComplete, Form, Input } from 'antd';
import { useState } from 'react';
import { nationalGrid, nationalGridOf } from '@/core/place/national-grids';
import { isProjection } from '@/core/model/header';
import type { MapPicture, PictureControl } from '@/core/model/map-picture';
import { isLine, type KnownPlace } from '@/core/model/known-place';
import { faultMessage } from '@/core/faults/messages';
import type { PictureTie, TieFault } from '@/core/place/picture/tie';
import { readTypedPlace } from '@/core/place/short-reference';
import { lengthOf } from '@/core/units/plane';
import type { Result } from '@/core/units/result';
import { LEAST_TO_NAME } from '@/core/place/picture/suspect';
import { visibleText } from '@/core/units/visible';
import type { Pixel } from '@/sketch/view';
import { PressButton } from '@/ui/controls/press-button';
import { firstSquare, keepSquare } from '@/views/shared/fields/grid-choice';
import styles from '../map.module.css';
import type { Tiles } from '../use-tiles';
import { WORDS } from '../words';
import { Magnifier } from './magnifier';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  picture: MapPicture;
  tie: Result<PictureTie, TieFault>;
  known: readonly KnownPlace[];
  tiles: Tiles;
  arrived: number;
  /** The place that was tapped, and that is tied next; null for none. */
  at: Pixel | null;
  onAt: (pixel: Pixel | null) => void;
  change: (change: (picture: MapPicture) => MapPicture) => void;
}

/** The points that tie the picture, what they are worth, and the next one. */
export function TiePanel(props: Props) {
  const { picture, tie, at, onAt, change } = props;
  return (
    <>
      {/* First of all what is being done: on a phone the rest is below the fold. */}
      {at ? (
        <>
          <Magnifier tiles={props.tiles} arrived={props.arrived} at={at} onMove={onAt} />
          <NewControl {...props} at={at} />
        </>
      ) : (
        <p className={layout.soft}>{WORDS.tieHow}</p>
      )}
      <TieQuality picture={picture} tie={tie} />
      <ol className={styles.controls} aria-label={WORDS.modes.tie}>
        {picture.controls.map(({ label }, index) => {
          const residual = tie.ok ? tie.value.fit?.residuals[index] : undefined;
          const isSuspect = tie.ok && tie.value.suspect?.index === index;
          return (
            <li key={`${label} ${index}`} data-suspect={isSuspect}>
              <span className={styles.grow}>{visibleText(label)}</span>
              {residual && <span>{WORDS.residual(lengthOf(residual))}</span>}
              <PressButton
                look="plain"
                aria-label={WORDS.removePoint(visibleText(label))}
                onClick={() =>
                  change((before) => ({
                    ...before,
                    controls: before.controls.filter((_each, other) => other !== index),
                  }))
                }
              >
                {WORDS.remove}
              </PressButton>
            </li>
          );
        })}
      </ol>
      <Projection key={picture.projection} picture={picture} change={change} />
    </>
  );
}

/** How well the points agree, or why they don't tie it. */
function TieQuality({ picture, tie }: Pick<Props, 'picture' | 'tie'>) {
  if (!tie.ok) {
    return (
      <p role="status" className={styles.warning} data-testid="tie">
        {WORDS.notTied} {WORDS.fault(tie.fault)}
      </p>
    );
  }
  const { fit, suspect } = tie.value;
  if (!fit) return <p data-testid="tie">{WORDS.tiedByFile}</p>;
  const label = suspect && picture.controls[suspect.index]?.label;
  return (
    <p role="status" data-testid="tie">
      {WORDS.fitted(fit.kind, fit.rmsMetres)} {fit.sigmaMetres === null && WORDS.noCheck}{' '}
      {fit.residuals.length === LEAST_TO_NAME - 1 && WORDS.fiveCheck}
      {suspect && (
        <b className={styles.warning}>{WORDS.suspect(visibleText(label ?? ''), suspect.metres)}</b>
      )}
    </p>
  );
}

/** Where the point under the magnifier is, typed or by a known place. */
function NewControl({ picture, known, at, onAt, change }: Props & { at: Pixel }) {
  const last = picture.controls.at(-1)?.position;
  const [text, setText] = useState('');
  const [square, setSquare] = useState(() => firstSquare(last));
  const points = known.filter((place) => !isLine(place));
  const named = points.find(({ name }) => name === text);
  const read = text.trim() === '' ? null : readTypedPlace(text, square.trim() || null);
  const position = named?.positions[0] ?? (read?.ok ? read.value.position : null);
  const wrong = !named && read && !read.ok ? faultMessage(read.fault) : null;
  const add = () => {
    if (!position) return;
    keepSquare(square, position);
    const label = text.replace(/[\s;]+/g, ' ').trim();
    const control: PictureControl = { x: at.x, y: at.y, position, label };
    // Who reads the places off a national grid has a map with that grid.
    const grid = !named && read?.ok ? nationalGrid(read.value.grid ?? '') : null;
    change(({ projection = grid?.definition, ...before }) => ({
      ...before,
      ...(projection !== undefined && { projection }),
      controls: [...before.controls, control],
    }));
    setText('');
    onAt(null);
  };
  return (
    <Form layout="vertical" className={styles.form}>
      <Form.Item
        label={WORDS.reference}
        htmlFor="tie-reference"
        validateStatus={wrong ? 'error' : undefined}
        help={wrong ?? WORDS.referenceHelp}
      >
        <AutoComplete
          id="tie-reference"
          value={text}
          options={points.map(({ name }) => ({ value: name }))}
          showSearch={{
            filterOption: (typed, option) =>
              (option?.value ?? '').toLowerCase().includes(typed.toLowerCase()),
          }}
          onChange={(value: string) => setText(value)}
        />
      </Form.Item>
      <Form.Item label={WORDS.square} htmlFor="tie-square">
        <Input
          id="tie-square"
          value={square}
          autoComplete="off"
          onChange={(event) => setSquare(event.target.value)}
        />
      </Form.Item>
      <div className={styles.row}>
        <PressButton look="primary" large disabled={!position} onClick={add}>
          {WORDS.addPoint}
        </PressButton>
        <PressButton onClick={() => onAt(null)}>{WORDS.cancel}</PressButton>
      </div>
    </Form>
  );
}

function Projection({ picture, change }: Pick<Props, 'picture' | 'change'>) {
  const { projection = '' } = picture;
  const [text, setText] = useState(nationalGridOf(projection)?.id ?? projection);
  const plain = nationalGrid(text)?.definition ?? text.trim().replace(/\s+/g, ' ');
  const isGood = plain === '' || isProjection(plain);
  return (
    <details className={styles.details} open={picture.world !== undefined && !picture.projection}>
      <summary>{WORDS.projection}</summary>
      <Form.Item validateStatus={isGood ? undefined : 'error'} help={WORDS.projectionHelp}>
        <Input
          aria-label={WORDS.projection}
          value={text}
          autoComplete="off"
          onChange={(event) => setText(event.target.value)}
        />
      </Form.Item>
      <PressButton
        disabled={!isGood}
        onClick={() =>
          change(({ projection: _projection, ...before }) => ({
            ...before,
            ...(plain !== '' && { projection: plain }),
          }))
        }
      >
        {WORDS.save}
      </PressButton>
    </details>
  );
}
