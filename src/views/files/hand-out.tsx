import { Button, Select } from 'antd';
import { useState } from 'react';
import type { Outing } from '@/core/logbook';
import { logbookOf } from '@/formats/json';
import { paceProfiles } from '@/store/profiles';
import { browserDatabase } from '@/views/shared/browser-store';
import { loadEarthModels } from '@/views/shared/use-earth-models';
import styles from './files.module.css';
import { canShare, save, share } from './hand-over';
import { makeFile, type MadeFile } from './make-file';
import { FORMAT_NAMES, WORDS } from './words';

const ALL = '';
/** A drawing shows one outing. */
const ONE_ONLY = new Set(['svg', 'png', 'log']);

/** An outing, or all of them, as a file of any format. */
export function HandOut({ outings, first }: { outings: readonly Outing[]; first: string | null }) {
  const [id, setId] = useState(first ?? (outings.length === 1 ? outings[0]!.id : ALL));
  const [told, setTold] = useState<{ words: string; alert: boolean }>({ words: '', alert: false });
  const [made, setMade] = useState<MadeFile | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const chosen = outings.filter((outing) => id === ALL || outing.id === id);
  const make = async (format: string) => {
    setBusy(format);
    setMade(null);
    try {
      const profiles = id === ALL ? await paceProfiles(browserDatabase()) : [];
      const logbook = logbookOf([...chosen], new Date().toISOString());
      const models = await loadEarthModels();
      const file = await makeFile(format, { ...logbook, paceProfiles: profiles }, models);
      if (file.ok) {
        save(file.value.name, file.value.content);
        setMade(file.value);
        setTold({ words: WORDS.saved(file.value.name), alert: false });
      } else setTold({ words: file.fault, alert: true });
    } catch {
      setTold({ words: WORDS.failed, alert: true });
    }
    setBusy(null);
  };
  return (
    <section className={styles.part} aria-labelledby="hand-out">
      <h2 id="hand-out">{WORDS.handOut}</h2>
      <label htmlFor="which">{WORDS.which}</label>
      <Select
        id="which"
        className={styles.select}
        value={id}
        onChange={(value: string) => setId(value)}
        options={[
          { value: ALL, label: WORDS.all },
          ...outings.map((outing) => ({ value: outing.id, label: outing.name || 'Outing' })),
        ]}
      />
      <ul className={styles.formats}>
        {FORMAT_NAMES.map(({ name, words, what }) => (
          <li key={name}>
            <Button
              onClick={() => make(name)}
              loading={busy === name}
              disabled={chosen.length === 0 || (ONE_ONLY.has(name) && chosen.length !== 1)}
              aria-describedby={`what-${name}`}
            >
              {words}
            </Button>
            <span id={`what-${name}`} className={styles.soft}>
              {what}
            </span>
          </li>
        ))}
      </ul>
      <p
        role={told.alert ? 'alert' : 'status'}
        className={told.alert ? styles.warning : undefined}
        data-testid="handed-out"
      >
        {told.words || <span className={styles.soft}>{WORDS.needs}</span>}
      </p>
      {made && canShare() && (
        <Button onClick={() => void share(made.name, made.content)}>{WORDS.share}</Button>
      )}
    </section>
  );
}
