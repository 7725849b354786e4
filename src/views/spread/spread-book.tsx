'use client';
import { RedoOutlined, SettingOutlined, UndoOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Outing } from '@/core/logbook';
import { warningsOf } from '@/core/checks';
import { stationName, type Solution } from '@/core/solve';
import { CairnMark } from '@/ui/cairn-mark';
import { STORE_WORDS } from '@/ui/store-words';
import { EntryLine } from './entry-line';
import { HeaderWarnings } from './header-warnings';
import { LeafBar } from './leaf-bar';
import { leafRows, legAt, rowsWith, struckCount } from './leaf-rows';
import { LineTools } from './line-tools';
import { LogLeaf } from './log-leaf';
import { Rescue } from './rescue';
import { SketchLeaf } from './sketch-leaf';
import { SpreadDialogs, type Dialog } from './spread-dialogs';
import styles from './spread.module.css';
import { useKeys } from './use-keys';
import type { OpenOuting } from '@/views/shared/use-outing';
import { useSpread } from './use-spread';
import { ViewsMenu } from './views-menu';
import { WayHomeStrip, type WayEnds } from './way-home-strip';
import { northsSentence } from '@/views/shared/norths/words';
import { editingWords, WORDS } from './words';

/** The open book: log on the left leaf, sketch on the right, the way home across the foot. */
export function SpreadBook({
  open,
  outing,
  solution,
}: {
  open: OpenOuting;
  outing: Outing;
  solution: Solution;
}) {
  const spread = useSpread(open, outing, solution);
  const { selected, setSelected, understanding, editing, edit, step } = spread;
  const [dialog, setDialog] = useState<Dialog>(null);
  const [tab, setTab] = useState<'log' | 'sketch'>('log');
  const [ends, setEnds] = useState<WayEnds | null>(null);
  const warnings = useMemo(() => warningsOf(solution), [solution]);
  const [showsStruck, setShowsStruck] = useState(false);
  const [sought, setSought] = useState<string | null>(null);
  const rows = useMemo(
    () => rowsWith(leafRows(solution, warnings, showsStruck), sought ?? ''),
    [solution, warnings, showsStruck, sought],
  );
  const name = outing.name || WORDS.untitled;

  useEffect(() => {
    document.title = `${name} · Cairn Back`;
  }, [name]);
  const keys = useMemo(
    () => ({
      step: (kind: 'undo' | 'redo') => void step(kind),
      palette: () => setDialog('palette'),
      find: () => setSought(''),
      shortcuts: () => setDialog('shortcuts'),
      pad: () => setDialog('pad'),
      counter: () => location.assign(`/count?id=${encodeURIComponent(outing.id)}`),
    }),
    [step, outing.id],
  );
  useKeys(keys, spread.text === '');

  // Stations that a change took away can't stay the ends of a way.
  const known =
    ends && ends.from <= solution.traverse.legs && ends.to <= solution.traverse.legs ? ends : null;
  const ghost = !editing && understanding.kind === 'entry' ? understanding.ghost : null;
  const leg = selected === null ? 0 : legAt(solution, selected);
  const chosen = selected === null ? undefined : outing.entries[selected];
  const chosenStation = leg > 0 ? solution.stationOfLeg[leg]! : 0;

  const { saveLine } = spread;
  const legFrom = useCallback(
    (index: number) => {
      const at = legAt(solution, index);
      if (at === 0) return;
      const station = stationName(solution, solution.stationOfLeg[at]!);
      void saveLine({ kind: 'from', station });
    },
    [solution, saveLine],
  );
  const selectLeg = useCallback(
    (wanted: number) => setSelected(wanted > 0 ? solution.entryOfLeg[wanted]! : null),
    [solution, setSelected],
  );

  return (
    <div className={styles.spread}>
      <header className={styles.header}>
        {/* A whole page load: it works from the offline cache like any other. */}
        <a href="/" aria-label={WORDS.brand} title={WORDS.toShelf} className={styles.brand}>
          <CairnMark />
          <span>Cairn Back</span>
        </a>
        <h1 className={styles.title}>{name}</h1>
        <a
          className={styles.norths}
          href={`/norths?id=${encodeURIComponent(outing.id)}`}
          title={WORDS.toNorths}
        >
          {northsSentence(solution.norths, solution.end.read, outing.show.north)}
        </a>
        <Button
          type="text"
          icon={<UndoOutlined aria-hidden="true" />}
          aria-label={WORDS.undo}
          title={WORDS.undo}
          disabled={open.page?.undoable.length === 0}
          onClick={() => step('undo')}
        />
        <Button
          type="text"
          icon={<RedoOutlined aria-hidden="true" />}
          aria-label={WORDS.redo}
          title={WORDS.redo}
          disabled={open.page?.redoable.length === 0}
          onClick={() => step('redo')}
        />
        <Button
          type="text"
          icon={<SettingOutlined aria-hidden="true" />}
          aria-label={WORDS.settings}
          title={WORDS.settings}
          onClick={() => setDialog('settings')}
        />
        <ViewsMenu id={outing.id} />
      </header>
      {spread.unsaved && (
        <Rescue
          words={STORE_WORDS[spread.unsaved.fault]}
          text={spread.unsaved.text}
          onRetry={spread.retry}
        />
      )}
      <main className={styles.main}>
        <div className={styles.tabs} role="tablist" aria-label="Leaves">
          {(['log', 'sketch'] as const).map((leaf) => (
            <button
              key={leaf}
              type="button"
              role="tab"
              id={`tab-${leaf}`}
              aria-controls={`leaf-${leaf}`}
              aria-selected={tab === leaf}
              className={styles.tab}
              onClick={() => setTab(leaf)}
            >
              {WORDS[leaf]}
            </button>
          ))}
        </div>
        <div className={styles.leaves} data-tab={tab}>
          <section id="leaf-log" className={styles.logLeaf} aria-label={WORDS.log}>
            <HeaderWarnings
              warnings={warnings}
              onSetUp={() => setDialog('settings')}
              onRight={(code) => spread.sayRight(null, code)}
            />
            <LeafBar
              struck={struckCount(solution)}
              showsStruck={showsStruck}
              onShowStruck={setShowsStruck}
              sought={sought}
              found={rows.length}
              onSeek={setSought}
            />
            <LogLeaf
              rows={rows}
              selected={selected}
              onSelect={setSelected}
              onEdit={edit}
              onStrike={spread.strike}
              onLegFrom={legFrom}
            />
            {Number.isNaN(solution.end.paceLength) && (
              <p className={styles.hint}>
                {WORDS.noPace}{' '}
                <Button onClick={() => setDialog('settings')}>{WORDS.setPace}</Button>{' '}
                <Button href={`/paces?id=${encodeURIComponent(outing.id)}`}>
                  {WORDS.calibrate}
                </Button>
              </p>
            )}
            {chosen && selected !== null && !editing && (
              <LineTools
                entry={chosen}
                leg={leg}
                warnings={warnings.filter(({ at }) => 'entry' in at && at.entry === selected)}
                onEdit={() => edit(selected)}
                onInsert={() => spread.insertBefore(selected)}
                onStrike={() => spread.strike(selected)}
                onMove={(way) => spread.move(selected, way)}
                onName={() => setDialog('rename')}
                onWay={() => setEnds({ from: chosenStation, to: 0 })}
                onLegFrom={() => legFrom(selected)}
                onRight={(code) => spread.sayRight(selected, code)}
                onMend={(mended) => spread.mend(selected, mended)}
                onHalfCircle={() => setDialog('half-circle')}
              />
            )}
            <EntryLine
              counter={`/count?id=${encodeURIComponent(outing.id)}`}
              input={spread.input}
              text={spread.text}
              understanding={understanding}
              editing={editing && editingWords(editing.how, leg)}
              status={spread.status}
              onText={spread.setText}
              onSave={spread.save}
              onCancel={spread.clearLine}
              onForm={() => setDialog('form')}
              onSetUp={() => setDialog('settings')}
              onPad={() => setDialog('pad')}
              onMore={() => setDialog('palette')}
              reason={spread.reason}
              onReason={spread.setReason}
            />
          </section>
          <section id="leaf-sketch" className={styles.sketchLeaf} aria-label={WORDS.sketch}>
            <SketchLeaf
              solution={solution}
              leg={leg}
              ghost={ghost}
              ends={known}
              onSelectLeg={selectLeg}
            />
          </section>
        </div>
      </main>
      <WayHomeStrip
        solution={solution}
        ends={known}
        ghost={ghost?.home ?? null}
        onChoose={() => setDialog('ends')}
        onStraightHome={() => setEnds(null)}
      />
      <SpreadDialogs
        dialog={dialog}
        setDialog={setDialog}
        open={open}
        outing={outing}
        solution={solution}
        spread={spread}
        keys={keys}
        chosenStation={chosenStation}
        ends={known}
        setEnds={setEnds}
      />
    </div>
  );
}
