'use client';
import { figureUnits } from '@/ui/units/shown';
import { placeOf } from '@/core/model/outing';
import SettingOutlined from '@ant-design/icons-svg/es/asn/SettingOutlined';
import { Button } from 'antd';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { headerWarnings } from '@/core/checks';
import type { OutingSettings } from '@/core/edit/settings';
import type { EarthModels } from '@/core/north/earth-models';
import type { Position } from '@/core/readings/position';
import { northShown, type Solution } from '@/core/survey/solution';
import { CORRECTION_WORDS, declinationSentence } from '@/views/shared/declination/words';
import { backToLog, Section, ViewPage } from '@/views/shared/page/view-page';
import { Converter } from './converter';
import { Cost } from './cost';
import styles from './declination.module.css';
import { HousingDrawing } from './housing-drawing';
import { NorthsDrawing } from './norths-drawing';
import { Icon } from '@/ui/controls/icon';
import { fieldWords, WORDS } from './words';

const YearsChart = dynamic(() => import('./years-chart').then((it) => it.YearsChart), {
  ssr: false,
});
const SettingsDrawer = dynamic(
  () => import('@/views/shared/settings/settings-drawer').then((it) => it.SettingsDrawer),
  { ssr: false },
);

interface Props {
  solution: Solution;
  models: EarthModels | null;
  /** Resolves to why the settings were not saved, or null. */
  onSave: (settings: OutingSettings) => Promise<string | null>;
}

/** The declination method of an outing, with its sums, drawings, years and cost. */
export function DeclinationPage({ solution, models, onSave }: Props) {
  const [inSettings, setInSettings] = useState(false);
  const { outing, places, end } = solution;
  const { norths } = places.frame;
  return (
    <ViewPage view="declination" about={outing.name} back={backToLog(outing)}>
      <Method solution={solution} onSettings={() => setInSettings(true)} />
      <div className={styles.columns}>
        <Converter norths={norths} />
        <NorthsDrawing norths={norths} />
        <HousingDrawing norths={norths} read={end.readingNorth} />
        <div>
          <Cost solution={solution} />
          <Years position={placeOf(outing)} models={models} />
        </div>
      </div>
      <p className={styles.caution}>{WORDS.caution}</p>
      {inSettings && (
        <SettingsDrawer outing={outing} onSave={onSave} onClose={() => setInSettings(false)} />
      )}
    </ViewPage>
  );
}

interface MethodProps {
  solution: Solution;
  onSettings: () => void;
}

/** The method in use, what the field model says, and what looks wrong. */
function Method({ solution, onSettings }: MethodProps) {
  const { places, end } = solution;
  const { norths } = places.frame;
  const { name, does } = CORRECTION_WORDS[norths.correction];
  const warnings = headerWarnings(solution, figureUnits());
  return (
    <section className={styles.method} aria-label={WORDS.method}>
      <div>
        <p className={styles.sentence} data-testid="declination-sentence">
          {declinationSentence(norths, end.readingNorth, northShown(solution))}
        </p>
        <p className={styles.soft}>
          <b>{name}.</b> {does}
        </p>
        {norths.field && <p className={styles.soft}>{fieldWords(norths.field)}</p>}
        {warnings.map(({ code, message }) => (
          <p key={code} className={styles.warning}>
            {message}
          </p>
        ))}
      </div>
      <Button icon={<Icon of={SettingOutlined} />} onClick={onSettings}>
        {WORDS.settings}
      </Button>
    </section>
  );
}

interface YearsProps {
  position: Position | undefined;
  models: EarthModels | null;
}

/** The declination over the years, once a position is set and the model is loaded. */
function Years({ position, models }: YearsProps) {
  const waiting = position ? WORDS.loadingModel : WORDS.yearsNeed;
  return (
    <Section id="years" title={WORDS.years}>
      {position && models ? (
        <>
          <YearsChart position={position} models={models} />
          <p className={styles.soft}>
            {WORDS.yearsReach(models.reach.from.slice(0, 4), models.reach.until.slice(0, 4))}
          </p>
        </>
      ) : (
        <p className={styles.soft}>{waiting}</p>
      )}
    </Section>
  );
}
