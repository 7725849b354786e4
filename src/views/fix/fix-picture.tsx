import { useState } from 'react';
import type { EarthFix } from '@/core/survey/fix/on-earth';
import type { PlanePoint } from '@/core/units/plane';
import { visibleText } from '@/core/units/visible';
import { fixScene, fixView, nameOnLine, type FixLine, type FixZoom } from '@/sketch/fix-scene';
import { onScreen, type View } from '@/sketch/view';
import { ScaleBar } from '@/views/shared/sketch/scale-bar';
import styles from './fix-picture.module.css';
import { WORDS } from './words';

const SIZE = { width: 480, height: 400 };
const NORTH = { x: 446, y: 62 };

/** The lines of sight, the triangle that they make, and the ellipse, to scale, north up. */
export function FixPicture({ found }: { found: EarthFix }) {
  const [zoom, setZoom] = useState<FixZoom>('whole');
  const scene = fixScene(found);
  const view = fixView(scene, zoom, SIZE);
  const here = onScreen(view, { east: 0, north: 0 });
  const { semiMajorMetres, semiMinorMetres, azimuthDegrees } = scene.ellipse;
  return (
    <figure className={styles.figure}>
      <div role="radiogroup" aria-label={WORDS.picture} className={styles.zoom}>
        {(['whole', 'near'] as const).map((each) => (
          <button
            key={each}
            type="button"
            role="radio"
            aria-checked={zoom === each}
            onClick={() => setZoom(each)}
          >
            {WORDS[each]}
          </button>
        ))}
      </div>
      <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} role="img" aria-label={WORDS.picture}>
        <ellipse
          className={styles.ellipse}
          cx={here.x}
          cy={here.y}
          rx={Math.max(3, semiMajorMetres * view.k)}
          ry={Math.max(3, semiMinorMetres * view.k)}
          transform={`rotate(${azimuthDegrees - 90} ${here.x} ${here.y})`}
        />
        {scene.circles.map(({ radius, ...at }, index) => {
          const { x, y } = onScreen(view, at);
          return <circle key={index} className={styles.circle} cx={x} cy={y} r={radius * view.k} />;
        })}
        {scene.lines.map((line, index) => (
          <SightLine key={index} line={line} view={view} />
        ))}
        {scene.marks.map((mark) => (
          <MarkName
            key={mark.name}
            name={mark.name}
            at={zoom === 'whole' ? mark : nameOnLine(scene, mark, NEAR_LABEL / view.k)}
            view={view}
            zoom={zoom}
          />
        ))}
        <path
          className={styles.here}
          d={`M${here.x - 9} ${here.y}h18M${here.x} ${here.y - 9}v18`}
        />
        <ScaleBar view={view} height={SIZE.height} paceMetres={null} gridMetres={null} />
        <NorthArrow />
      </svg>
    </figure>
  );
}

const NorthArrow = () => (
  <g className={styles.north} transform={`translate(${NORTH.x} ${NORTH.y})`}>
    <path d="M0 0V-40M-5 -30L0 -42L5 -30" />
    <text y={16} textAnchor="middle">
      true
    </text>
  </g>
);

function SightLine({ line, view }: { line: FixLine; view: View }) {
  const [from, to] = [onScreen(view, line.from), onScreen(view, line.to)];
  return (
    <line
      className={styles.line}
      data-kind={line.kind}
      x1={from.x}
      y1={from.y}
      x2={to.x}
      y2={to.y}
    />
  );
}

const LABEL_GAP = 14;
/** In the close-up a name is this far from the place, towards its mark. */
const NEAR_LABEL = 150;

/** A mark and its name; in the close-up the name alone, on its line. */
function MarkName({
  name,
  at,
  view,
  zoom,
}: {
  name: string;
  at: PlanePoint;
  view: View;
  zoom: FixZoom;
}) {
  const { x, y } = onScreen(view, at);
  const isLeft = x > SIZE.width / 2;
  const side = isLeft ? -LABEL_GAP : LABEL_GAP;
  return (
    <g className={styles.mark}>
      {zoom === 'whole' && <path d={`M${x - 6} ${y + 5}L${x} ${y - 6}L${x + 6} ${y + 5}Z`} />}
      <text x={x + side} y={y + 4} textAnchor={isLeft ? 'end' : 'start'}>
        {visibleText(name)}
      </text>
    </g>
  );
}
