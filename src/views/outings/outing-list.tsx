'use client';
import { visibleText } from '@/core/units/visible';
import DeleteOutlined from '@ant-design/icons-svg/es/asn/DeleteOutlined';
import dayjs from 'dayjs';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { solveAsWalked } from '@/core/survey/solve';
import { forPlane, lengthText } from '@/core/units/figures';
import { figureUnits } from '@/ui/units/shown';
import type { StoredOuting } from '@/store/outings';
import { ToolButton } from '@/ui/controls/tool-button';
import { modelsNeeded, useEarthModels } from '@/views/shared/data/use-earth-models';
import { SmallSketch } from '@/views/shared/sketch/still-drawing';
import { viewUrl } from '@/views/views';
import styles from './outings.module.css';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

/** Rows that fill the first screen with some to spare; more join them after it is painted. */
const FIRST_ROWS = 16;
const MORE_ROWS = 40;

/** How many of these rows to draw: the first screen at once, the rest when that is done. */
function useGrowing(count: number): number {
  const [drawn, setDrawn] = useState(FIRST_ROWS);
  useEffect(() => {
    if (drawn >= count) return;
    const timer = setTimeout(() => startTransition(() => setDrawn(drawn + MORE_ROWS)));
    return () => clearTimeout(timer);
  }, [drawn, count]);
  return drawn;
}

type OnDelete = (id: string, name: string) => void;

/** All outings, the last changed first. */
export function OutingList({
  outings,
  onDelete,
}: {
  outings: readonly StoredOuting[];
  onDelete: OnDelete;
}) {
  const rows = useGrowing(outings.length);
  return (
    <ul className={styles.list}>
      {outings.slice(0, rows).map((stored) => (
        <OutingRow key={stored.state.document.id} stored={stored} onDelete={onDelete} />
      ))}
    </ul>
  );
}

function OutingRow({ stored, onDelete }: { stored: StoredOuting; onDelete: OnDelete }) {
  const { document: outing } = stored.state;
  const models = useEarthModels(modelsNeeded(outing));
  // Its shape as walked is enough here.
  const solved = useMemo(() => solveAsWalked(outing, models), [outing, models]);
  const name = visibleText(outing.name) || WORDS.untitled;
  const waits = !solved.ok && solved.fault.fault.code === 'model-not-loaded';
  return (
    <li className={styles.row}>
      <a className={styles.outing} href={viewUrl('outing', outing.id)}>
        <span className={styles.sketch}>
          {solved.ok && <SmallSketch solution={solved.value} />}
        </span>
        <span className={styles.words}>
          <span className={styles.name}>{name}</span>
          <span className={layout.soft}>
            {outing.date && dayjs(outing.date.day).format('D MMMM YYYY')}
            {outing.date?.time && `, ${outing.date.time}`}
            {outing.by && ` · ${WORDS.byWhom(visibleText(outing.by))}`}
          </span>
          {solved.ok && (
            <span className={styles.figures}>
              {WORDS.legs(solved.value.legs.count)} ·{' '}
              {WORDS.walked(
                lengthText(
                  solved.value.walkedMetres,
                  forPlane(figureUnits(), solved.value.places.frame.unit),
                ),
              )}
            </span>
          )}
          {stored.damaged && <span className={styles.warning}>{WORDS.damaged}</span>}
          {!solved.ok && !waits && <span className={styles.warning}>{WORDS.unsolved}</span>}
        </span>
      </a>
      <ToolButton
        icon={DeleteOutlined}
        label={WORDS.remove}
        about={WORDS.removeAbout(name)}
        plain
        onClick={() => onDelete(outing.id, name)}
      />
    </li>
  );
}
