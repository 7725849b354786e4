import { InboxOutlined } from '@ant-design/icons';
import { Button, Input, Upload } from 'antd';
import { useEffect, useState } from 'react';
import type { EarthModels } from '@/core/earth-models';
import type { Entry } from '@/core/logbook';
import type { Result } from '@/core/result';
import type { CsvMapping } from '@/formats/read-csv';
import type { FileRead, UnreadFile } from '@/formats/read-file';
import dayjs from 'dayjs';
import { loadEarthModels } from '@/views/shared/use-earth-models';
import { ownPaces } from '@/views/shared/own-paces';
import { NumberField } from '@/views/shared/number-field';
import { Columns } from './columns';
import styles from './files.module.css';
import { Faults } from './faults';
import { readOffered, type Offered } from './offered';
import { Preview } from './preview';
import { WORDS } from './words';

const USUAL_TOLERANCE_METRES = 10;

interface Ready {
  readonly models: EarthModels;
  readonly paces: readonly Entry[];
}

/** A file or a text: what it holds is shown, and only then taken in. */
export function TakeIn({
  offered,
  onOffer,
}: {
  offered: Offered | null;
  onOffer: (offered: Offered | null) => void;
}) {
  const [ready, setReady] = useState<Ready | null>(null);
  const [pasted, setPasted] = useState('');
  const [told, setTold] = useState('');
  useEffect(() => {
    void Promise.all([loadEarthModels(), ownPaces()]).then(([models, paces]) =>
      setReady({ models, paces }),
    );
  }, []);
  const offer = (next: Offered) => {
    setTold('');
    onOffer(next);
  };
  const taken = (words: string) => {
    setTold(words);
    setPasted('');
    onOffer(null);
  };
  return (
    <section className={styles.part} aria-labelledby="take-in">
      <h2 id="take-in">{WORDS.takeIn}</h2>
      <Upload.Dragger
        showUploadList={false}
        multiple={false}
        beforeUpload={async (file) => {
          offer({ name: file.name, content: new Uint8Array(await file.arrayBuffer()) });
          return Upload.LIST_IGNORE;
        }}
      >
        <p className={styles.drop}>
          <InboxOutlined aria-hidden="true" /> {WORDS.drop}
        </p>
        <p>{WORDS.dropWhich}</p>
      </Upload.Dragger>
      <label htmlFor="pasted">{WORDS.paste}</label>
      <Input.TextArea
        id="pasted"
        rows={3}
        value={pasted}
        onChange={(event) => setPasted(event.target.value)}
        spellCheck={false}
      />
      <Button
        disabled={pasted.trim() === ''}
        onClick={() => offer({ name: 'What you pasted', content: pasted })}
      >
        {WORDS.read}
      </Button>
      <p role="status" data-testid="taken">
        {told}
      </p>
      {offered && ready && (
        <Look
          key={keyOf(offered)}
          offered={offered}
          ready={ready}
          onTaken={taken}
          onLeave={() => onOffer(null)}
        />
      )}
    </section>
  );
}

const keys = new WeakMap<Offered, string>();
/** Each offer is looked at afresh. */
function keyOf(offered: Offered): string {
  const key = keys.get(offered) ?? crypto.randomUUID();
  keys.set(offered, key);
  return key;
}

/** What was offered, read with the choices made so far. */
function Look({
  offered,
  ready,
  onTaken,
  onLeave,
}: {
  offered: Offered;
  ready: Ready;
  onTaken: (words: string) => void;
  onLeave: () => void;
}) {
  const [tolerance, setTolerance] = useState(USUAL_TOLERANCE_METRES);
  const [mapping, setMapping] = useState<CsvMapping | null>(null);
  const [read, setRead] = useState<Result<FileRead, UnreadFile> | null>(null);
  useEffect(() => {
    // A long file takes a moment: what is on the screen is painted first.
    const timer = setTimeout(() => {
      const today = dayjs().format('YYYY-MM-DD');
      const choices = { toleranceMetres: tolerance, mapping, today, paces: ready.paces };
      const newId = () => crypto.randomUUID();
      setRead(readOffered(offered, ready.models, { ...choices, newId }));
    });
    return () => clearTimeout(timer);
  }, [offered, ready, tolerance, mapping]);
  if (!read) return <p role="status">{WORDS.loading}</p>;
  const table = read.ok ? read.value.table : read.fault.table;
  return (
    <div className={styles.preview} data-testid="preview">
      {table && <Columns table={table} onMapping={setMapping} />}
      {read.ok && read.value.thinned && (
        <NumberField
          id="tolerance"
          label={WORDS.tolerance}
          value={tolerance}
          least={0.1}
          most={1000}
          onChange={setTolerance}
        />
      )}
      {read.ok ? (
        <Preview name={offered.name} read={read.value} onTaken={onTaken} onLeave={onLeave} />
      ) : (
        <Faults name={offered.name} faults={read.fault.faults} onLeave={onLeave} />
      )}
    </div>
  );
}
