import { figureUnits } from '@/ui/units/shown';
import { Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { headerWarnings } from '@/core/checks';
import { LONGEST_NAME } from '@/core/readings/name';
import { aboutOuting, outingInList } from '@/views/shared/words/outing-about';
import { visibleText } from '@/core/units/visible';
import { PressButton } from '@/ui/controls/press-button';
import { Section } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import page from '@/views/shared/page/layout.module.css';
import styles from './area.module.css';
import { LineSample } from './map/line-sample';
import type { OpenArea } from './use-area';
import { WORDS } from './words';
import { nth } from '@/core/units/nth';

interface Props {
  open: OpenArea;
  hidden: ReadonlySet<number>;
  onHidden: (hidden: ReadonlySet<number>) => void;
}

/** The outings of the area: whose, how they are drawn, and whether. */
export function Members({ open, hidden, onHidden }: Props) {
  const { absent, answer, actions } = open;
  const { ids, members } = answer.found;
  const show = (outing: number, isShown: boolean) => {
    const next = new Set(hidden);
    if (isShown) next.delete(outing);
    else next.add(outing);
    onHidden(next);
  };
  return (
    <Section id="area-outings" title={WORDS.outings}>
      <ul className={styles.rows}>
        {members.map(({ solution }, outing) => {
          const id = nth(ids, outing);
          const warnings = headerWarnings(solution, figureUnits());
          const name = visibleText(solution.outing.name) || WORDS.untitled;
          return (
            <li key={id} className={page.row}>
              <Checkbox
                checked={!hidden.has(outing)}
                onChange={({ target }) => show(outing, target.checked)}
                aria-label={WORDS.show(name)}
              />
              <LineSample outing={outing} />
              <span className={styles.grow}>
                <a href={viewUrl('outing', id)}>{name}</a>
                <span className={styles.soft}> {aboutOuting(solution.outing)}</span>
                {warnings.map(({ code, message }) => (
                  <span key={code} className={page.warning}>
                    {' '}
                    {message}
                  </span>
                ))}
              </span>
              <PressButton
                look="plain"
                aria-label={WORDS.leaveAbout(name)}
                onClick={() =>
                  void actions.change((before) => ({
                    ...before,
                    outings: before.outings.filter((each) => each !== id),
                  }))
                }
              >
                {WORDS.leave}
              </PressButton>
            </li>
          );
        })}
      </ul>
      {absent.length > 0 && <p className={styles.soft}>{WORDS.absent(absent.length)}</p>}
      <AddOuting open={open} />
      <AreaName key={open.area.name} open={open} />
    </Section>
  );
}

/** One more of the outings of this device. */
function AddOuting({ open: { area, outings, actions } }: Pick<Props, 'open'>) {
  const others = outings.filter(({ id }) => !area.outings.includes(id));
  if (others.length === 0) return null;
  return (
    <Select
      className={styles.select}
      aria-label={WORDS.addOuting}
      placeholder={WORDS.addOuting}
      value={null}
      options={others.map((outing) => ({
        value: outing.id,
        label: outingInList(outing, WORDS.untitled),
      }))}
      onChange={(id: string | null) =>
        id !== null &&
        void actions.change((before) => ({ ...before, outings: [...before.outings, id] }))
      }
    />
  );
}

/** The name of the area; kept when one leaves the field, or presses Enter. */
function AreaName({ open: { area, actions } }: Pick<Props, 'open'>) {
  const [name, setName] = useState(area.name);
  const keep = () => {
    const kept = name.trim().slice(0, LONGEST_NAME);
    if (kept !== area.name) void actions.change((before) => ({ ...before, name: kept }));
  };
  return (
    <label className={styles.end}>
      <span>{WORDS.name}</span>
      <Input
        id="area-name"
        value={name}
        onChange={({ target }) => setName(target.value)}
        onBlur={keep}
        onPressEnter={keep}
        autoComplete="off"
      />
    </label>
  );
}
