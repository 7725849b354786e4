import type { Survey } from '@/core/survey/party/survey';
import { uncheckedOf } from '@/core/survey/party/unchecked';
import { nameOf, walkerOf, type Party } from '@/core/survey/party/party';
import { degrees } from '@/core/units/units';
import { visibleText } from '@/core/units/visible';
import page from '@/views/shared/page/layout.module.css';
import { Section } from '@/views/shared/page/view-page';
import styles from '../area.module.css';
import { WORDS } from '../words';
import { UNEXPLAINED } from './unexplained';
import { nth } from '@/core/units/nth';

const signed = (value: number, digits: number) =>
  `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(digits)}`;

/** The person, or the outing, whose compass or stride an error is; empty for one of all. */
function whoseError(party: Party, key: string): string {
  const outing = party.members.findIndex(({ by }, index) =>
    key.startsWith(`${walkerOf(by, index)}: `),
  );
  return outing < 0 ? '' : nth(party.members, outing).by || nameOf(party, outing);
}

/** So many legs that nothing checks are named. */
const MOST_NAMED = 8;

/** What the loops tell of each compass and each stride, and what nothing checks. */
export function Estimates({ survey }: { survey: Survey }) {
  const { estimates, party, test } = survey;
  const isTold = test !== null && test.p >= UNEXPLAINED;
  const unchecked = uncheckedOf(survey);
  const legs = unchecked
    .slice(0, MOST_NAMED)
    .map(({ outing, leg }) => `${visibleText(nameOf(party, outing))} ${leg}`)
    .join(', ');
  if (estimates.length === 0 && unchecked.length === 0) return null;
  return (
    <Section id="area-estimates" title={WORDS.estimates}>
      {!isTold && test && <p className={styles.soft}>{WORDS.noEstimates}</p>}
      {isTold && estimates.length > 0 && <p className={styles.soft}>{WORDS.addThis}</p>}
      <table className={page.table}>
        <tbody>
          {(isTold ? estimates : []).map(({ error, value, sigma }) => {
            const isBearing = error.of === 'bearing';
            const figure = (each: number) => (isBearing ? degrees(each) : 100 * each);
            const unit = isBearing ? '°' : ' %';
            const name = whoseError(party, error.key);
            return (
              <tr key={error.key}>
                <th scope="row">{WORDS.estimate(error.source, error.about, visibleText(name))}</th>
                <td>
                  {signed(figure(value), 1)}
                  {unit} ± {figure(sigma).toFixed(1)}
                  {unit}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {unchecked.length > 0 && (
        <p className={styles.soft}>
          {WORDS.unchecked(unchecked.length > MOST_NAMED ? `${legs}, …` : legs)}
        </p>
      )}
    </Section>
  );
}
