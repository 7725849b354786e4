'use client';
import { Form, Input } from 'antd';
import dayjs from 'dayjs';
import { useCallback, useRef, useState, type RefObject } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { blankRoute, type Route } from '@/core/model/route';
import { plural } from '@/core/entries/describe';
import { visibleText } from '@/core/units/visible';
import { readRouteFile } from '@/formats/route/read-route-file';
import { routeLogs } from '@/store/documents/routes';
import { storeFault } from '@/store/store-fault';
import { PressButton } from '@/ui/controls/press-button';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { useLive } from '@/ui/use-live';
import { askToKeep, browserDatabase, leaveFor } from '@/store/browser-database';
import { ownPaces } from '@/views/shared/data/own-paces';
import { BACK_TO_OUTINGS, Section, ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import { openDemoRoute } from './demo-route';
import styles from './route.module.css';
import { WORDS } from './words';
import { nth } from '@/core/units/nth';

/** A route of today with the person's own paces. */
async function newRoute(name: string): Promise<Route> {
  const today = dayjs().format('YYYY-MM-DD');
  return { ...blankRoute(crypto.randomUUID(), name, today), paces: await ownPaces() };
}

/** Stores a route and opens it; resolves to why that failed, or never. */
async function storeAndOpen(route: Route): Promise<string | null> {
  const outcome = await routeLogs.add(browserDatabase(), route, new Date());
  if (outcome.kind === 'unsaved') return STORE_MESSAGES[outcome.fault];
  askToKeep();
  void leaveFor(viewUrl('route', route.id));
  return null;
}

/** The places of a file: its own route, or one of today where it tells neither day nor paces. */
async function routeOfFile(file: File): Promise<{ route: Route } | { words: string }> {
  const read = readRouteFile(file.name, await file.text(), crypto.randomUUID());
  if (!read.ok) return { words: faultMessage(nth(read.fault, 0).fault) };
  const { declination, paces, points, name, id } = read.value;
  const isBare = declination.source === 'none' && paces.length === 0;
  return { route: isBare ? { ...(await newRoute(name)), id, points } : read.value };
}

/** All routes, and how to make another: from a map, or from a file. */
export function RouteList() {
  const live = useLive(useCallback(() => routeLogs.all(browserDatabase()), []));
  const routes = live && 'value' in live ? live.value : [];
  return (
    <ViewPage view="route" back={BACK_TO_OUTINGS} width="medium">
      <Section id="routes" title={WORDS.routes}>
        {live && 'error' in live && <p role="alert">{STORE_MESSAGES[storeFault(live.error)]}</p>}
        {live && routes.length === 0 && <p>{WORDS.none}</p>}
        <ul className={styles.list}>
          {routes.map(({ document: { id, name, points } }) => (
            <li key={id}>
              <a href={viewUrl('route', id)}>
                <b>{visibleText(name) || WORDS.untitled}</b>
                <span className={styles.soft}>{plural(points.length, 'point', 'points')}</span>
              </a>
            </li>
          ))}
        </ul>
        <PressButton href={viewUrl('map')}>{WORDS.pictures}</PressButton>
      </Section>
      <NewRoute />
    </ViewPage>
  );
}

function NewRoute() {
  const [name, setName] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const make = async () => setFault(await storeAndOpen(await newRoute(name.trim())));
  const open = async (file: File) => {
    const read = await routeOfFile(file);
    setFault('words' in read ? read.words : await storeAndOpen(read.route));
  };
  return (
    <Section id="new-route" title={WORDS.newRoute}>
      <Form layout="vertical" className={styles.form}>
        <Form.Item label={WORDS.name} htmlFor="route-name">
          <Input
            id="route-name"
            value={name}
            maxLength={200}
            autoComplete="off"
            onChange={(event) => setName(event.target.value)}
            onPressEnter={() => void make()}
          />
        </Form.Item>
      </Form>
      <div className={styles.row}>
        <PressButton look="primary" large onClick={() => void make()}>
          {WORDS.make}
        </PressButton>
        <PressButton large onClick={() => picker.current?.click()} title={WORDS.importHelp}>
          {WORDS.imports}
        </PressButton>
        <PressButton large onClick={() => void openDemoRoute().then(setFault)}>
          {WORDS.demo}
        </PressButton>
      </div>
      <FilePicker pickerRef={picker} onFile={(file) => void open(file)} />
      <p className={styles.soft}>{WORDS.importHelp}</p>
      {fault && (
        <p role="alert" className={styles.warning}>
          {fault}
        </p>
      )}
      <p className={styles.soft}>{WORDS.caution}</p>
    </Section>
  );
}

interface PickerProps {
  pickerRef: RefObject<HTMLInputElement | null>;
  onFile: (file: File) => void;
}

const FilePicker = ({ pickerRef, onFile }: PickerProps) => (
  <input
    ref={pickerRef}
    type="file"
    hidden
    aria-label={WORDS.imports}
    accept=".txt,.gpx,.geojson,.json,.kml,.csv"
    onChange={({ target }) => {
      const [file] = target.files ?? [];
      target.value = '';
      if (file) onFile(file);
    }}
  />
);
