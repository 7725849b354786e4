'use client';
import { SettingOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { angleWords } from '@/core/angle';
import { warningsOf } from '@/core/checks';
import type { EarthModels, FieldAtPlace } from '@/core/earth-models';
import type { SetUp } from '@/core/edit/set-up';
import type { Solution } from '@/core/solve';
import { ViewHeader } from '@/views/shared/view-header';
import { CORRECTION_WORDS, northsSentence } from '@/views/shared/norths/words';
import { Converter } from './converter';
import { Cost } from './cost';
import { HousingDrawing } from './housing-drawing';
import { NorthsDrawing } from './norths-drawing';
import styles from './norths.module.css';
import { WORDS } from './words';

const YearsChart = dynamic(() => import('./years-chart').then((it) => it.YearsChart), {
  ssr: false,
});
const SettingsDrawer = dynamic(
  () => import('@/views/shared/settings-drawer').then((it) => it.SettingsDrawer),
  { ssr: false },
);

interface Props {
  solution: Solution;
  models: EarthModels | null;
  onSave: (setUp: SetUp) => Promise<string | null>;
}

/** Everything about the norths of an outing: how they are dealt with, the sums, the drawings, the years, the cost. */
export function NorthsPage({ solution, models, onSave }: Props) {
  const [settingUp, setSettingUp] = useState(false);
  const { outing, norths, end } = solution;
  const { position } = outing.start;
  const warnings = warningsOf(solution).filter(({ at }) => 'header' in at);
  return (
    <div className={styles.page}>
      <ViewHeader
        title={WORDS.title}
        about={outing.name}
        back={{ href: `/outing?id=${encodeURIComponent(outing.id)}`, words: WORDS.toOuting }}
      />
      <main className={styles.paper}>
        <section className={styles.how} aria-label={WORDS.setUp}>
          <div>
            <p className={styles.sentence} data-testid="norths-sentence">
              {northsSentence(norths, end.read, outing.show.north)}
            </p>
            <p className={styles.soft}>
              <b>{CORRECTION_WORDS[norths.correction].name}.</b>{' '}
              {CORRECTION_WORDS[norths.correction].does}
            </p>
            {norths.field && <p className={styles.soft}>{fieldWords(norths.field)}</p>}
            {warnings.map(({ code, message }) => (
              <p key={code} className={styles.warning}>
                {message}
              </p>
            ))}
          </div>
          <Button icon={<SettingOutlined aria-hidden="true" />} onClick={() => setSettingUp(true)}>
            {WORDS.setUp}
          </Button>
        </section>
        <div className={styles.columns}>
          <Converter norths={norths} />
          <NorthsDrawing norths={norths} />
          <HousingDrawing norths={norths} read={end.read} />
          <div>
            <Cost solution={solution} />
            <section className={styles.part} aria-labelledby="years">
              <h2 id="years">{WORDS.years}</h2>
              {!position && <p className={styles.soft}>{WORDS.yearsNeed}</p>}
              {position && !models && <p className={styles.soft}>{WORDS.loadingModel}</p>}
              {position && models && (
                <>
                  <YearsChart position={position} models={models} />
                  <p className={styles.soft}>
                    {WORDS.yearsReach(
                      models.reach.from.slice(0, 4),
                      models.reach.until.slice(0, 4),
                    )}
                  </p>
                </>
              )}
            </section>
          </div>
        </div>
        <p className={styles.caution}>{WORDS.caution}</p>
      </main>
      {settingUp && (
        <SettingsDrawer outing={outing} onSave={onSave} onClose={() => setSettingUp(false)} />
      )}
    </div>
  );
}

const fieldWords = (field: FieldAtPlace): string =>
  WORDS.field(
    field.model,
    angleWords(field.eastDegrees),
    `${field.sigmaDegrees.toFixed(1)}°`,
    angleWords(field.changePerYearDegrees),
    Math.round(field.horizontalNanotesla / 100) * 100,
  );
