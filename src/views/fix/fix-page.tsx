'use client';
import { Tabs } from 'antd';
import dayjs from 'dayjs';
import { useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { fixDeclination } from '@/core/navigation/fix/fix-declination';
import type { DeclinationSetting } from '@/core/model/header';
import type { EarthModels } from '@/core/north/earth-models';
import { fixHere, nearestFirst, type FixDraft } from '@/core/navigation/fix/fix-here';
import { isLine } from '@/core/model/known-place';
import type { Position } from '@/core/readings/position';
import { positionOfStation } from '@/core/survey/positions';
import type { Solution } from '@/core/survey/solution';
import type { OpenOuting } from '@/views/shared/data/use-outing';
import { BACK_TO_OUTINGS, backToLog, ViewPage } from '@/views/shared/page/view-page';
import { Answer } from './answer';
import { Bearings } from './bearings';
import { FixPicture } from './fix-picture';
import styles from './fix.module.css';
import { IdentifyTab, PathsTab } from './tabs/identify';
import { OrientTab } from './tabs/orient';
import { PlacesTab } from './tabs/places';
import type { Known } from './use-known';
import { WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

interface Props {
  solution: Solution;
  /** Null where no outing is under way. */
  open: OpenOuting | null;
  known: Known;
  draft: FixDraft;
  change: (change: Partial<FixDraft>) => void;
  models: EarthModels | null;
  onDeclination: (setting: DeclinationSetting) => Promise<string | null>;
}

/** Bearings to known places, and where they put one. */
export function FixPage(props: Props) {
  const { solution, open, known, draft, change, models, onDeclination } = props;
  const { places } = known;
  const [said, say] = useState<string | null>(null);
  const goOn = (next: Partial<FixDraft>) => {
    say(null);
    change(next);
  };
  const here = useMemo(() => fixHere(solution, draft, places), [solution, draft, places]);
  const at = here.found?.position ?? positionOfStation(solution.places, solution.current);
  const points = places.filter((place) => !isLine(place));
  return (
    <ViewPage
      view="fix"
      about={open ? solution.outing.name : undefined}
      back={open ? backToLog(solution.outing) : BACK_TO_OUTINGS}
      plain
    >
      <div className={styles.columns}>
        <div className={styles.sheet}>
          <Answer
            here={here}
            solution={solution}
            draft={draft}
            declination={fixDeclination(solution, here, models, dayjs().format('YYYY-MM-DD'))}
            onDeclination={onDeclination}
            open={open}
            known={points}
            change={change}
            said={said}
            say={say}
          />
          <Bearings
            draft={draft}
            here={here}
            change={goOn}
            known={known}
            solution={solution}
            points={nearestFirst(points, at)}
            hasLog={open !== null}
          />
        </div>
        <div className={styles.sheet}>
          {here.found && <FixPicture found={here.found} />}
          <Rooms known={known} solution={solution} at={at} />
        </div>
      </div>
      <p className={layout.soft}>{WORDS.caution}</p>
    </ViewPage>
  );
}

/** What stands beside a fix: the places, and what else they tell. */
function Rooms({
  known,
  solution,
  at,
}: Pick<Props, 'known' | 'solution'> & { at: Position | null }) {
  const points = known.places.filter((place) => !isLine(place));
  const placed = { at, solution, known: points, lines: known.places.filter(isLine) };
  const { tabs } = WORDS;
  const asked = useSearchParams().get('tab');
  const rooms = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (asked !== null) rooms.current?.scrollIntoView();
  }, [asked]);
  return (
    <div ref={rooms}>
      <Tabs
        defaultActiveKey={asked ?? 'places'}
        items={[
          { key: 'places', label: tabs.places, children: <PlacesTab known={known} at={at} /> },
          { key: 'orient', label: tabs.orient, children: <OrientTab solution={solution} /> },
          { key: 'identify', label: tabs.identify, children: <IdentifyTab {...placed} /> },
          { key: 'paths', label: tabs.paths, children: <PathsTab {...placed} /> },
        ]}
      />
    </div>
  );
}
