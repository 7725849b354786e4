import { memo, type Ref } from 'react';
import type { PartId } from '@/core/practice/compass/parts';
import type { CompassSetting } from '@/core/practice/question';
import type { Degrees } from '@/core/units/units';
import { FaceNeedle, FaceScale, FaceTicks } from '@/ui/compass/face';
import styles from './compass.module.css';

/** The middle of the dial on the plate, and the radii of its rings. */
const MIDDLE = { x: 150, y: 276 };
const RING = 112;
const WELL = 86;
const NEEDLE = 72;
const FIGURES = Array.from({ length: 12 }, (_, index) => index * 30);
const SCALE = [-30, -20, -10, 10, 20, 30];
const LETTERS = { 0: 'N', 90: 'E', 180: 'S', 270: 'W' } as const;

interface Props {
  setting: CompassSetting;
  dialDegrees: Degrees;
  housingEast: Degrees;
  /** The part that is marked, if one is. */
  part?: PartId;
  /** The needle, which moves without the rest being drawn again. */
  needle: Ref<SVGGElement>;
}

const marked = (part: PartId | undefined, of: PartId) => (part === of ? styles.marked : undefined);

interface FaceProps {
  hasScale: boolean;
  housingEast: Degrees;
  part?: PartId;
}

/** The face of the dial, with its lines and figures: not drawn again while it is turned. */
const Face = memo(function Face({ hasScale, housingEast, part }: FaceProps) {
  return (
    <>
      <circle r={RING} className={`${styles.ring} ${marked(part, 'dial') ?? ''}`} />
      <circle r={WELL} className={styles.well} />
      <FaceTicks
        every={2}
        rim={WELL + 1}
        length={(tick) => (tick % 30 === 0 ? -9 : tick % 10 === 0 ? -7 : -3)}
        className={styles.tick}
      />
      {FIGURES.map((figure) => (
        <text key={figure} transform={`rotate(${figure})`} y={-WELL - 14} textAnchor="middle">
          {LETTERS[figure as 0] ?? figure}
        </text>
      ))}
      <g className={marked(part, 'orienting-lines')}>
        {[-48, -32, 32, 48].map((x) => {
          const reach = Math.sqrt((WELL - 8) ** 2 - x * x);
          return <line key={x} x1={x} x2={x} y1={-reach} y2={reach} className={styles.lines} />;
        })}
      </g>
      <g transform={`rotate(${housingEast})`} className={marked(part, 'orienting-arrow')}>
        <path d={`M-11 62V-48L0 -68L11 -48V62`} className={styles.arrow} />
      </g>
      {hasScale && <Scale part={part} />}
    </>
  );
});

/** Marks left and right of N in the housing, for the declination. */
const Scale = ({ part }: { part?: PartId }) => (
  <g className={`${styles.scale} ${marked(part, 'declination-scale') ?? ''}`}>
    <FaceScale
      marks={SCALE}
      rim={WELL - 2}
      length={() => 8}
      isNamed={(east) => Math.abs(east) !== 20}
    />
    <line y1={-WELL + 2} y2={-WELL + 12} />
    <text transform="rotate(-46)" y={-WELL + 20} textAnchor="middle">
      W
    </text>
    <text transform="rotate(46)" y={-WELL + 20} textAnchor="middle">
      E
    </text>
  </g>
);

/** The needle: its marked end is the full one, with a dot. */
const Needle = ({ needle, part }: { needle: Ref<SVGGElement>; part?: PartId }) => (
  <FaceNeedle
    ref={needle}
    length={NEEDLE}
    half={8}
    className={marked(part, 'needle')}
    north={styles.northEnd}
    south={styles.southEnd}
    testId="needle"
  >
    <circle cy={-NEEDLE + 26} r="2.6" className={styles.dot} />
    <circle r="4.5" className={styles.pivot} />
  </FaceNeedle>
);

const Plate = ({ part, isMirror }: { part?: PartId; isMirror: boolean }) => (
  <g>
    <rect
      x="30"
      y={isMirror ? 136 : 8}
      width="240"
      height={isMirror ? 276 : 404}
      rx="20"
      className={`${styles.plate} ${marked(part, 'base-plate') ?? ''}`}
    />
    {!isMirror && (
      <g className={`${styles.travel} ${marked(part, 'travel-arrow') ?? ''}`}>
        <path d="M150 128V38" />
        <path d="M132 58L150 30L168 58" />
      </g>
    )}
    {Array.from({ length: 12 }, (_, index) => (
      <line
        key={index}
        x1="30"
        x2={index % 5 === 0 ? 44 : 38}
        y1={160 + index * 20}
        y2={160 + index * 20}
        className={styles.edge}
      />
    ))}
    {!isMirror && (
      <>
        <circle cx="66" cy="76" r="5" className={styles.hole} />
        <circle cx="234" cy="76" r="5" className={styles.hole} />
      </>
    )}
  </g>
);

/** The lid with its mirror: the dial is seen in it upside down, and a notch to sight through. */
const Lid = () => (
  <g>
    <rect x="30" y="2" width="240" height="128" rx="16" className={styles.plate} />
    <rect x="44" y="20" width="212" height="98" rx="8" className={styles.mirror} />
    <clipPath id="mirror-clip">
      <rect x="44" y="20" width="212" height="98" rx="8" />
    </clipPath>
    <g clipPath="url(#mirror-clip)">
      <use href="#housing" transform="translate(0 312) scale(1 -0.86)" opacity="0.75" />
    </g>
    <path d="M142 2L150 14L158 2" className={styles.notch} />
    <line x1="150" x2="150" y1="20" y2="118" className={styles.sightLine} />
  </g>
);

/** A hand compass from above, as it lies in the hand: its line of travel is up. */
export const CompassDrawing = memo(function CompassDrawing(props: Props) {
  const { setting, part, needle } = props;
  if (setting.look === 'card') return <CardDrawing needle={needle} />;
  return (
    <svg viewBox="0 0 300 420" className={styles.drawing} aria-hidden="true">
      <Plate part={part} isMirror={setting.look === 'mirror'} />
      <g id="housing" transform={`translate(${MIDDLE.x} ${MIDDLE.y})`}>
        <g transform={`rotate(${-props.dialDegrees})`} data-testid="dial">
          <Face hasScale={setting.hasScale} housingEast={props.housingEast} part={part} />
        </g>
        <Needle needle={needle} part={part} />
      </g>
      <g transform={`translate(${MIDDLE.x} ${MIDDLE.y})`}>
        <path
          d={`M0 ${-RING - 14}V${-RING}M0 ${-WELL + 1}V${-WELL + 12}`}
          className={`${styles.index} ${marked(part, 'index') ?? ''}`}
        />
      </g>
      {setting.look === 'mirror' && <Lid />}
    </svg>
  );
});

/** A plain needle over a ring without figures: nothing to read, only north to see. */
const CardDrawing = ({ needle }: { needle: Ref<SVGGElement> }) => (
  <svg viewBox="0 0 300 300" className={styles.drawing} aria-hidden="true">
    <g transform="translate(150 150)">
      <circle r={RING + 16} className={styles.ring} />
      <circle r={WELL + 10} className={styles.well} />
      <FaceTicks
        every={10}
        rim={WELL + 12}
        length={(tick) => (tick % 90 === 0 ? -14 : -6)}
        className={styles.tick}
      />
      <Needle needle={needle} />
    </g>
  </svg>
);
