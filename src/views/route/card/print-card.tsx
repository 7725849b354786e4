import { planTime } from '@/core/navigation/route/clock';
import { catchingWords, legInWords } from '@/core/navigation/route/in-words';
import type { RouteLeg } from '@/core/navigation/route/leg';
import { gridName, type Plan } from '@/core/navigation/route/plan';
import { angleText, bearingDigits } from '@/core/units/angle';
import { bearingText, lengthText, uncertaintyText, figureUnits } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import { placeOnMap } from '@/views/shared/fields/grid-choice';
import styles from '../route.module.css';
import { minutesText, sideWords, WORDS } from '../words';

/** What a card is printed on. */
export const PAPERS = ['A4', 'A5'] as const;
export type Paper = (typeof PAPERS)[number];

const digits = (degrees: number | null) => (degrees === null ? '–' : bearingDigits(degrees));

/** The route as a card on paper: one row a leg, with all that is planned for it. */
export function PrintCard({ plan, paper }: { plan: Plan; paper: Paper }) {
  const { route, legs, norths, metres, minutes, positions } = plan;
  const [first] = route.points;
  return (
    <section className={styles.card} aria-hidden="true">
      <style>{`@page { size: ${paper}; margin: ${paper === 'A4' ? 14 : 8}mm; }`}</style>
      <h1>{visibleText(route.name) || WORDS.untitled}</h1>
      <p>
        {[route.date?.day, route.date?.time, route.party && visibleText(route.party)]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <p>
        {WORDS.sum(legs.length, metres, minutes)}.{' '}
        {norths && norths.declinationEast !== null
          ? `Declination ${angleText(norths.declinationEast)}, `
          : ''}
        {norths && `grid convergence ${angleText(norths.convergenceEast)}. `}
        {WORDS.gridOf(gridName(plan) ?? 'the map')}
      </p>
      {first && positions[0] && (
        <p>{WORDS.startsAt(visibleText(first.name), placeOnMap(positions[0]))}</p>
      )}
      <table>
        <thead>
          <tr>
            {['', 'to', 'set', 'G / T', 'metres', 'paces', 'time', 'on the way'].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {legs.map((leg) => (
            <CardRow key={leg.number} plan={plan} leg={leg} />
          ))}
        </tbody>
      </table>
      <p>
        {[
          route.turnBackBy && `Turn back by ${route.turnBackBy}.`,
          route.backBy && `Back by ${route.backBy}.`,
          route.tell && visibleText(route.tell),
        ]
          .filter(Boolean)
          .join(' ')}
      </p>
      <p>{WORDS.caution}</p>
    </section>
  );
}

function CardRow({ plan, leg }: { plan: Plan; leg: RouteLeg }) {
  const { dangers = [], aimOff } = leg.plan;
  const catching = catchingWords(leg, figureUnits());
  const position = plan.positions[leg.number];
  const aim =
    leg.aim?.ok && aimOff
      ? `Aim off ${aimOff.side} onto ${aimOff.what}: there turn ${leg.aim.aim.turn}, about ` +
        `${lengthText(leg.aim.aim.alongMetres)} along it.`
      : null;
  return (
    <tr>
      <td>{leg.number}</td>
      <td>
        {visibleText(leg.to)}
        {leg.isAttack && ` (${WORDS.attack})`}
        {position && <small> {placeOnMap(position)}</small>}
      </td>
      <td>
        <b>
          {leg.set ? `${bearingText(leg.set.degrees)} ${leg.set.north[0]?.toUpperCase()}` : '–'}
        </b>
        {leg.aim?.ok && leg.direct && (
          <small> {WORDS.direct(bearingText(leg.direct.degrees))}</small>
        )}
      </td>
      <td>
        {digits(leg.bearing.grid)} / {digits(leg.bearing.true)}
      </td>
      <td>
        {lengthText(leg.metres)} ±{uncertaintyText(leg.ellipse.semiMajorMetres)}
      </td>
      <td>{leg.paces === null ? '–' : Math.round(leg.paces)}</td>
      <td>
        {planTime(plan, leg.minutesFromStart)} ({minutesText(leg.minutes)})
      </td>
      <td>
        {legInWords(leg)}
        <ul>
          {leg.ticks.map(({ metres, side, what }, index) => (
            <li key={index}>
              {lengthText(metres)}: {visibleText(what)}
              {sideWords(side)}
            </li>
          ))}
          {aim && <li>{visibleText(aim)}</li>}
          {catching && <li>{visibleText(catching)}</li>}
          {dangers.map((danger, index) => (
            <li key={`danger ${index}`}>
              {WORDS.danger}: {visibleText(danger)}
            </li>
          ))}
        </ul>
      </td>
    </tr>
  );
}
