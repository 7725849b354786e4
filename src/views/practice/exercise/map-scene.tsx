'use client';
import { Input } from 'antd';
import { bearingDigits } from '@/core/units/angle';
import type { Marked, Question } from '@/core/practice/question';
import { polar, sumOf } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import { onScreen, type View } from '@/sketch/view';
import { FaceNeedle } from '@/ui/compass/face';
import { PlateDrawn } from '@/views/map/panels/protractor';
import { CountryMap } from '../scenes/country-map';
import styles from '../scenes/country-map.module.css';
import { Turned } from '../scenes/turned';
import { Waiting } from '../scenes/waiting';
import { useCountryDrawing } from '../use-trainer';
import { WORDS } from '../words';
import { bearingOf, type Draft } from './draft';
import page from './exercise.module.css';
import layout from '@/views/shared/page/layout.module.css';

export interface SceneProps<Kind> {
  question: Question;
  scene: Extract<Question['scene'], { kind: Kind }>;
  draft: Draft;
  /** Without it the scene is only looked at. */
  onDraft?: (change: Partial<Draft>) => void;
}

/** A map of a made country, with what a question does on it. */
export function MapScene({ question, draft, onDraft, scene }: SceneProps<'map'>) {
  const asked = useCountryDrawing(scene.country);
  if (asked.status !== 'ready') return <Waiting failed={asked.status === 'failed'} />;
  const { kind } = question.wanted;
  return (
    <>
      <CountryMap
        drawing={asked.value}
        marked={scene.marked}
        lines={scene.lines}
        turned={draft.turn}
        onTap={kind === 'place' && onDraft ? (point) => onDraft({ point }) : undefined}
        over={(view) => <Over scene={scene} draft={draft} view={view} />}
      />
      {onDraft && <OnMap kind={kind} scene={scene} draft={draft} onDraft={onDraft} />}
    </>
  );
}

interface OnMapProps extends Omit<SceneProps<'map'>, 'question'> {
  kind: Question['wanted']['kind'];
  onDraft: (change: Partial<Draft>) => void;
}

/** What is turned, laid and drawn on the map by hand. */
function OnMap({ kind, scene, draft, onDraft }: OnMapProps) {
  const { plate, turn, point } = draft;
  if (kind === 'turn') {
    return (
      <Turned
        label={WORDS.mapTurn}
        value={turn}
        onTurn={(degrees) => onDraft({ turn: degrees })}
        says={`${WORDS.turnedBy(turn)} ${WORDS.mapNeedle(scene.needle ?? 0)}`}
      />
    );
  }
  if (scene.hasPlate) {
    return (
      <>
        <Turned
          label={WORDS.edge}
          value={plate.edge}
          onTurn={(edge) => onDraft({ plate: { ...plate, edge } })}
        />
        <Turned
          label={WORDS.plateDial}
          value={plate.dial}
          onTurn={(dial) => onDraft({ plate: { ...plate, dial } })}
          says={WORDS.plateReads(bearingDigits(plate.edge), bearingDigits(plate.dial))}
        />
      </>
    );
  }
  if (kind !== 'place') return null;
  return (
    <>
      <div className={page.drawn}>
        {scene.marked.map(({ letter }) => (
          <label key={letter} className={page.field}>
            <span>{WORDS.lineFrom(letter)}</span>
            <Input
              id={`line-${letter}`}
              value={draft.drawn[letter] ?? ''}
              inputMode="decimal"
              autoComplete="off"
              onChange={(event) =>
                onDraft({ drawn: { ...draft.drawn, [letter]: event.target.value } })
              }
            />
          </label>
        ))}
      </div>
      <p role="status" className={layout.soft}>
        {point && WORDS.placeAt(point.east, point.north)}
      </p>
    </>
  );
}

/** Longer than any line in a country. */
const FAR_METRES = 8000;

/** A line from a mark, on the bearing that was typed for it. */
function DrawnLine({ mark, text, view }: { mark: Marked; text: string; view: View }) {
  const degrees = bearingOf(text);
  if (degrees === null) return null;
  const [from, to] = [mark.point, sumOf(mark.point, polar(degrees, FAR_METRES))].map((point) =>
    onScreen(view, point),
  );
  return (
    <line
      x1={from!.x}
      y1={from!.y}
      x2={to!.x}
      y2={to!.y}
      className={styles.drawnLine}
      data-testid={`line-${mark.letter}`}
    />
  );
}

/** What lies on the map: the plate, a compass beside it, the place that was chosen. */
function Over({
  scene,
  draft,
  view,
}: {
  scene: SceneProps<'map'>['scene'];
  draft: Draft;
  view: View;
}) {
  const [first] = scene.marked;
  return (
    <>
      {scene.hasPlate && first && (
        <PlateDrawn state={draft.plate} at={onScreen(view, first.point)} turn={draft.plate.edge} />
      )}
      {scene.needle !== null && <MapNeedle degrees={scene.needle} />}
      {scene.marked.map((mark) => (
        <DrawnLine
          key={mark.letter}
          mark={mark}
          text={draft.drawn[mark.letter] ?? ''}
          view={view}
        />
      ))}
      {draft.point && <Chosen view={view} draft={draft} />}
    </>
  );
}

function Chosen({ view, draft }: { view: View; draft: Draft }) {
  const { x, y } = onScreen(view, draft.point!);
  return <circle cx={x} cy={y} r="13" className={styles.chosen} data-testid="chosen-place" />;
}

const NEEDLE_AT = { x: 64, y: 64 };

/** A compass that lies on the map's corner: only its needle matters. */
const MapNeedle = ({ degrees }: { degrees: Degrees }) => {
  const tip = polar(degrees, 44);
  return (
    <g transform={`translate(${NEEDLE_AT.x} ${NEEDLE_AT.y})`} className={styles.needle}>
      <circle r="50" />
      <FaceNeedle length={44} half={6} turn={degrees} south={styles.southEnd} />
      <text x={tip.east} y={-tip.north} textAnchor="middle">
        N
      </text>
    </g>
  );
};
