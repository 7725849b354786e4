import { Radio } from 'antd';
import { METHODS } from '@/core/model/method';
import { nameOf } from '@/core/survey/party/party';
import type { Survey } from '@/core/survey/party/survey';
import { lengthText } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import page from '@/views/shared/page/layout.module.css';
import { Section } from '@/views/shared/page/view-page';
import styles from '../area.module.css';
import type { OpenArea } from '../use-area';
import { WORDS } from '../words';
import { UNEXPLAINED } from './unexplained';
import { nth } from '@/core/units/nth';

/** How the readings become places, and how the loops close. */
export function Loops({ open, survey }: { open: OpenArea; survey: Survey }) {
  const { closures, test, party } = survey;
  return (
    <Section id="area-loops" title={WORDS.loops}>
      <Radio.Group
        aria-label={WORDS.method}
        value={open.area.method}
        optionType="button"
        onChange={({ target }) =>
          void open.actions.change((before) => ({ ...before, method: target.value as never }))
        }
        options={METHODS.map((method) => ({ value: method, label: WORDS.methods[method][0] }))}
      />
      <p className={styles.soft}>{WORDS.methods[open.area.method][1]}</p>
      {closures.length > 0 && !survey.adjusted && <p role="status">{WORDS.notAdjusted}</p>}
      {test && (
        <p data-testid="whole-test" className={test.p < UNEXPLAINED ? page.warning : undefined}>
          {test.p < UNEXPLAINED ? WORDS.unexplained(test.p) : WORDS.fits(test.p)}
        </p>
      )}
      {closures.length === 0 ? (
        <p className={styles.soft}>{WORDS.noLoops}</p>
      ) : (
        <table className={page.table}>
          <thead>
            <tr>
              <th scope="col">{WORDS.loop}</th>
              <th scope="col">{WORDS.misclosure}</th>
              <th scope="col">{WORDS.ofWalked}</th>
            </tr>
          </thead>
          <tbody>
            {closures.map(({ source, node, metres, ofWalked }) => (
              <tr key={`${source.outing} ${source.entry}`}>
                <th scope="row">
                  {WORDS.closure(
                    visibleText(nth(party.nodes.all, node).name),
                    visibleText(nameOf(party, source.outing)),
                  )}
                </th>
                <td>{lengthText(metres)}</td>
                <td>{(100 * ofWalked).toFixed(1)} %</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Section>
  );
}
