import { useMemo } from 'react';
import { areaPoints } from '@/formats/area/area-points';
import { nameOf } from '@/core/survey/party/party';
import type { Survey } from '@/core/survey/party/survey';
import { lengthText, uncertaintyText } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import { shownPlace } from '@/views/shared/fields/grid-choice';
import page from '@/views/shared/page/layout.module.css';
import { Section } from '@/views/shared/page/view-page';
import styles from '../area.module.css';
import { WORDS } from '../words';
import { LineSample } from './line-sample';
import { nth } from '@/core/units/nth';

/** More points than this are in the exported table. */
const MOST_POINTS = 300;

/** The places as a list: on paper beside the map, and for anyone who can't see it. */
export function Points({ survey }: { survey: Survey }) {
  const points = useMemo(() => areaPoints(survey), [survey]);
  const hasPositions = points.some(({ position }) => position !== null);
  return (
    <div className={styles.points}>
      <Legend survey={survey} />
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
            {points.slice(0, MOST_POINTS).map(({ name, east, north, ellipse, position }, index) => (
              <tr key={index}>
                <th scope="row">{name}</th>
                <td>{signed(east)}</td>
                <td>{signed(north)}</td>
                <td>{index === 0 ? '' : uncertaintyText(ellipse.semiMajorMetres)}</td>
                {hasPositions && <td>{position && shownPlace(position)}</td>}
                <td>{numbersOf(survey, index)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {points.length > MOST_POINTS && <p>{WORDS.morePoints(points.length - MOST_POINTS)}</p>}
      </Section>
    </div>
  );
}

/** The numbers of the outings that have a place, as on the map. */
const numbersOf = ({ party }: Survey, node: number): string =>
  [...new Set(nth(party.nodes.all, node).stations.map(({ outing }) => outing + 1))].join(', ');

/** Whose each line of the map is: on paper, where the list of outings is not. */
const Legend = ({ survey: { party } }: { survey: Survey }) => (
  <ul className={styles.legend}>
    {party.members.map(({ by }, outing) => (
      <li key={outing}>
        <LineSample outing={outing} />
        {visibleText(nameOf(party, outing))}
        {by && ` ${WORDS.byWhom(visibleText(by))}`}
      </li>
    ))}
  </ul>
);

const signed = (metres: number) => `${metres < -0.5 ? '−' : ''}${lengthText(Math.abs(metres))}`;
