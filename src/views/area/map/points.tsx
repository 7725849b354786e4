import { useMemo } from 'react';
import { areaPoints } from '@/formats/area/area-points';
import { decimalDegrees } from '@/core/place/degrees-text';
import type { Survey } from '@/core/survey/party/survey';
import { lengthText, uncertaintyText } from '@/core/units/shown';
import page from '@/views/shared/page/page.module.css';
import { Section } from '@/views/shared/page/view-page';
import styles from '../area.module.css';
import { WORDS } from '../words';

/** The places as a list: on paper beside the map, and for whoever can't see it. */
export function Points({ survey }: { survey: Survey }) {
  const points = useMemo(() => areaPoints(survey), [survey]);
  const hasPositions = points.some(({ position }) => position !== null);
  return (
    <div className={styles.points}>
      <Section id="area-points" title={WORDS.points}>
        <table className={page.table} data-testid="points">
          <thead>
            <tr>
              <th scope="col">{WORDS.point}</th>
              <th scope="col">{WORDS.east}</th>
              <th scope="col">{WORDS.north}</th>
              <th scope="col">{WORDS.sure}</th>
              {hasPositions && <th scope="col">{WORDS.position}</th>}
              <th scope="col">{WORDS.outings}</th>
            </tr>
          </thead>
          <tbody>
            {points.map(({ name, outings, east, north, ellipse, position }, index) => (
              <tr key={index}>
                <th scope="row">{name}</th>
                <td>{signed(east)}</td>
                <td>{signed(north)}</td>
                <td>{index === 0 ? '' : uncertaintyText(ellipse.semiMajorMetres)}</td>
                {hasPositions && <td>{position && decimalDegrees(position)}</td>}
                <td className={styles.words}>{outings.join(', ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Section>
    </div>
  );
}

const signed = (metres: number) => `${metres < -0.5 ? '−' : ''}${lengthText(Math.abs(metres))}`;
