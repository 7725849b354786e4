import type { Plan } from '@/core/navigation/route/plan';
import type { PlanePoint } from '@/core/units/plane';
import { visibleText } from '@/core/units/visible';
import { axisTurn, labelSide, routeScene, routeView } from '@/sketch/route-scene';
import type { RouteScene, WalkedOn } from '@/sketch/route-scene';
import { onScreen, type View } from '@/sketch/view';
import { ScaleBar } from '@/views/shared/sketch/scale-bar';
import styles from './route-drawing.module.css';
import { WORDS } from './words';

const SIZE = { width: 520, height: 420 };
const NORTH = { x: 486, y: 62 };

interface Props {
  plan: Plan;
  walked: WalkedOn | null;
  chosen: number | null;
  onChoose: (number: number | null) => void;
}

const path = (view: View, points: readonly PlanePoint[]) =>
  points
    .map((point) => onScreen(view, point))
    .map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`)
    .join('');

/** The route to scale, true north up, with how far off one may arrive at each point. */
export function RouteDrawing({ plan, walked, chosen, onChoose }: Props) {
  const scene = routeScene(plan, walked);
  if (scene.points.length === 0) return null;
  const view = routeView(scene, SIZE);
  return (
    <svg
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      role="img"
      aria-label={WORDS.drawing(plan.route.name, scene.points.length)}
      className={styles.drawing}
    >
      {scene.points.map(({ number, at, ellipse }) => {
        const { x, y } = onScreen(view, at);
        return (
          ellipse && (
            <ellipse
              key={number}
              className={styles.ellipse}
              cx={x}
              cy={y}
              rx={ellipse.semiMajorMetres * view.k}
              ry={ellipse.semiMinorMetres * view.k}
              transform={`rotate(${axisTurn(ellipse)} ${x} ${y})`}
            />
          )
        );
      })}
      {scene.points.slice(1).map(({ number, at }) => (
        <path
          key={number}
          className={styles.leg}
          data-chosen={chosen === number}
          d={path(view, [scene.points[number - 1]!.at, at])}
          onClick={() => onChoose(number)}
        />
      ))}
      {scene.aims.map(({ from, corner, to }, index) => (
        <path key={index} className={styles.aim} d={path(view, [from, corner, to])} />
      ))}
      {scene.walked.length > 1 && <path className={styles.walked} d={path(view, scene.walked)} />}
      <PointMarks scene={scene} view={view} chosen={chosen} />
      {scene.here && <Here view={view} at={scene.here} />}
      <ScaleBar view={view} height={SIZE.height} paceMetres={null} gridMetres={null} />
      <g className={styles.north} transform={`translate(${NORTH.x} ${NORTH.y})`}>
        <path d="M0 0V-40M-5 -30L0 -42L5 -30" />
        <text y={16} textAnchor="middle">
          true
        </text>
      </g>
    </svg>
  );
}

function Here({ view, at }: { view: View; at: PlanePoint }) {
  const { x, y } = onScreen(view, at);
  return <path className={styles.here} d={`M${x - 10} ${y}h20M${x} ${y - 10}v20`} />;
}

interface MarksProps {
  scene: RouteScene;
  view: View;
  chosen: number | null;
}

/** The points and their names; an attack point is a triangle. */
const PointMarks = ({ scene, view, chosen }: MarksProps) =>
  scene.points.map(({ number, name, at, isAttack, isRepeated }) => {
    const { x, y } = onScreen(view, at);
    const isLeft = labelSide(scene, number) === 'left';
    return (
      <g key={number} className={styles.point} data-chosen={chosen === number}>
        {isAttack ? (
          <path d={`M${x - 6} ${y + 5}H${x + 6}L${x} ${y - 6}Z`} />
        ) : (
          <circle cx={x} cy={y} r={number === 0 ? 7 : 5} />
        )}
        <text x={x + (isLeft ? -11 : 11)} y={y + 5} textAnchor={isLeft ? 'end' : 'start'}>
          {isRepeated ? '' : visibleText(name)}
        </text>
      </g>
    );
  });
