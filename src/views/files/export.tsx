import { Button, Select } from 'antd';
import { useState } from 'react';
import { logbookOf } from '@/core/model/logbook';
import type { Outing } from '@/core/model/outing';
import { paceProfiles } from '@/store/profiles';
import { browserDatabase } from '@/store/browser-database';
import { loadEarthModels } from '@/views/shared/data/use-earth-models';
import { outingInList } from '@/views/shared/words/outing-about';
import { Section } from '@/views/shared/page/view-page';
import styles from './files.module.css';
import { makeFile, type MadeFile } from './make-file';
import { canShare, save, share } from '@/views/shared/data/save-file';
import { OFFERED_FORMATS, WORDS } from './words';
import layout from '@/views/shared/page/layout.module.css';

/** The value of the choice that stands for all outings. */
const ALL = '';

interface Message {
  readonly words: string;
  readonly alert: boolean;
}

/** Makes files of outings in a format, and saves them. */
function useExport(outings: readonly Outing[], withProfiles: boolean) {
  const [message, setMessage] = useState<Message | null>(null);
  const [made, setMade] = useState<MadeFile | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const make = async (format: string) => {
    setBusy(format);
    setMade(null);
    try {
      const profiles = withProfiles ? await paceProfiles(browserDatabase()) : [];
      const logbook = logbookOf([...outings], new Date().toISOString(), profiles);
      const file = await makeFile(format, logbook, await loadEarthModels());
      if (file.ok) {
        await save(file.value.name, file.value.content);
        setMade(file.value);
        setMessage({ words: WORDS.saved(file.value.name), alert: false });
      } else setMessage({ words: file.fault, alert: true });
    } catch {
      setMessage({ words: WORDS.failed, alert: true });
    }
    setBusy(null);
  };
  return { message, made, busy, make };
}

interface Props {
  outings: readonly Outing[];
  /** The outing that is chosen at first; null for all. */
  first: string | null;
  /** True where these were chosen among others. */
  isSome: boolean;
}

/** One outing, or all of them, as a file of any format. */
export function Export({ outings, first, isSome }: Props) {
  const [id, setId] = useState(first ?? (outings.length === 1 ? outings[0]?.id : ALL) ?? ALL);
  const chosen = outings.filter((outing) => id === ALL || outing.id === id);
  const { message, made, busy, make } = useExport(chosen, id === ALL && !isSome);
  return (
    <Section id="export" title={WORDS.exportTitle}>
      <label htmlFor="which">{WORDS.whichOuting}</label>
      <Select
        id="which"
        className={styles.select}
        value={id}
        onChange={setId}
        options={[
          { value: ALL, label: isSome ? WORDS.chosen(outings.length) : WORDS.all },
          ...outings.map((outing) => ({
            value: outing.id,
            label: outingInList(outing, WORDS.untitled),
          })),
        ]}
      />
      <ul className={styles.formats}>
        {OFFERED_FORMATS.map(({ name, label, what, single }) => (
          <li key={name}>
            <Button
              onClick={() => make(name)}
              loading={busy === name}
              disabled={chosen.length === 0 || (single && chosen.length > 1)}
              aria-describedby={`what-${name}`}
            >
              {label}
            </Button>
            <span id={`what-${name}`} className={layout.soft}>
              {what}
            </span>
          </li>
        ))}
      </ul>
      <p
        role={message?.alert ? 'alert' : 'status'}
        className={message?.alert ? styles.warning : undefined}
        data-testid="exported"
      >
        {message?.words ?? <span className={layout.soft}>{WORDS.needs}</span>}
      </p>
      {made && canShare() && (
        <Button onClick={() => void share(made.name, made.content)}>{WORDS.share}</Button>
      )}
    </Section>
  );
}
