import { AutoComplete, Form, Input, Select } from 'antd';
import { useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { readRouteText, writeRouteText } from '@/core/log-text/route/route-text';
import { CORRECTIONS } from '@/core/model/header';
import { TIMINGS, type Route } from '@/core/model/route';
import { gridsAt } from '@/core/place/national-grids';
import { NORTHS } from '@/core/units/bearing';
import { PressButton } from '@/ui/controls/press-button';
import { CORRECTION_WORDS, NORTH_NAMES } from '@/views/shared/declination/words';
import { ownPaces } from '@/views/shared/data/own-paces';
import { writeEntry } from '@/core/entries/entry';
import styles from '../route.module.css';
import { WORDS } from '../words';
import { nth } from '@/core/units/nth';

/** The lines at the head of a route's text, each with its field here. */
const TEXT_FIELDS = [
  ['route', WORDS.name],
  ['date', WORDS.date],
  ['declination', WORDS.declination, WORDS.declinationHelp],
  ['convergence', WORDS.grid, WORDS.gridHelp],
  ['speed', WORDS.speed],
  ['sight', WORDS.sightField],
  ['party', WORDS.party],
  ['tell', WORDS.tell],
  ['turn-back', WORDS.turnBack],
  ['back', WORDS.back],
] as const;
type TextField = (typeof TEXT_FIELDS)[number][0];
type Fields = Readonly<Record<TextField | 'correction' | 'show' | 'timing' | 'paces', string>>;

const PACE = /^pace\s+/;
const POINT = /^(point|attack)\s/;

/** The lines of the head of a route's text. */
function headOf(route: Route): string[] {
  const lines = writeRouteText(route).trimEnd().split('\n');
  const end = lines.findIndex((line) => POINT.test(line));
  return end < 0 ? lines : lines.slice(0, end);
}

function fieldsOf(route: Route): Fields {
  const lines = headOf(route);
  const of = (keyword: string) =>
    lines.find((line) => line.startsWith(`${keyword} `))?.slice(keyword.length + 1) ?? '';
  const text = Object.fromEntries(TEXT_FIELDS.map(([keyword]) => [keyword, of(keyword)]));
  const paces = lines
    .filter((line) => PACE.test(line))
    .map((line) => line.replace(PACE, ''))
    .join('\n');
  const rest = { correction: of('correction'), show: of('show'), timing: of('timing'), paces };
  return { ...(text as Record<TextField, string>), ...rest };
}

/** The head as lines again; a speed and a range get the unit that stands beside their field. */
function linesOf({ paces, speed, sight, ...fields }: Fields): string[] {
  const withUnit = (text: string, unit: string) =>
    /^\s*[\d.,]+\s*$/.test(text) ? `${text.trim()}${unit}` : text;
  const given = {
    ...fields,
    speed: withUnit(speed, ' kmh'),
    sight: withUnit(sight, 'm'),
  };
  return [
    'cairn-back route 1',
    ...Object.entries(given).flatMap(([keyword, text]) =>
      text.trim() === '' ? [] : [`${keyword} ${text.trim()}`],
    ),
    ...paces
      .split('\n')
      .filter((row) => row.trim() !== '')
      .map((row) => `pace ${row.trim()}`),
  ];
}

/** The keyword of a line that can't be read, for the field to say so. */
const keywordOf = (line = '') => /^[a-z-]+/.exec(line)?.[0] ?? '';

interface Props {
  route: Route;
  onSave: (route: Route) => void;
}

/** What is typed of the head, what is wrong with it, and how it is stored. */
function useHead({ route, onSave }: Props) {
  const [fields, setFields] = useState(() => fieldsOf(route));
  const [fault, setFault] = useState<{ keyword: string; words: string } | null>(null);
  const set = (change: Partial<Fields>) => setFields((before) => ({ ...before, ...change }));
  const save = () => {
    const lines = linesOf(fields);
    const read = readRouteText(lines.join('\n'), route.id);
    if (!read.ok) {
      const { line, fault: wrong } = nth(read.fault, 0);
      return setFault({ keyword: keywordOf(lines[line - 1]), words: faultMessage(wrong) });
    }
    setFault(null);
    const { points, picture, note } = route;
    onSave({ ...read.value, points, ...(picture && { picture }), ...(note && { note }) });
  };
  const takeOwnPaces = async () => {
    const paces = await ownPaces();
    const rows = paces.map((pace) => writeEntry(pace, 'magnetic').replace(PACE, ''));
    if (rows.length > 0) set({ paces: rows.join('\n') });
  };
  return { fields, fault, set, save, takeOwnPaces };
}
type Head = ReturnType<typeof useHead>;

/** The grids of the country where the route begins, to choose from. */
function gridNames({ points: [start] }: Route) {
  const here = start?.position ? gridsAt(start.position) : [];
  return [{ value: 'utm', label: 'UTM' }].concat(
    here.map(({ id, name }) => ({ value: id, label: name })),
  );
}

/** What holds for the whole route: day, declination, grid, paces, speed, and who goes. */
export function HeadForm(props: Props) {
  const { route } = props;
  const head = useHead(props);
  const { fields, fault, set, save, takeOwnPaces } = head;
  return (
    <Form layout="vertical" className={styles.form}>
      {TEXT_FIELDS.map(([field, label, help]) => (
        <Form.Item
          key={field}
          label={label}
          htmlFor={`head-${field}`}
          validateStatus={fault?.keyword === field ? 'error' : undefined}
          help={fault?.keyword === field ? fault.words : help}
        >
          {field === 'convergence' ? (
            <AutoComplete
              id={`head-${field}`}
              value={fields[field]}
              options={gridNames(route)}
              onChange={(text: string) => set({ [field]: text })}
            />
          ) : (
            <Input
              id={`head-${field}`}
              value={fields[field]}
              autoComplete="off"
              onChange={(event) => set({ [field]: event.target.value })}
              onPressEnter={save}
            />
          )}
        </Form.Item>
      ))}
      <Choices head={head} />
      <Form.Item
        label={WORDS.pacesField}
        htmlFor="head-paces"
        validateStatus={fault?.keyword === 'pace' ? 'error' : undefined}
        help={fault?.keyword === 'pace' ? fault.words : WORDS.pacesHelp}
      >
        <Input.TextArea
          id="head-paces"
          autoSize={{ minRows: 2, maxRows: 8 }}
          value={fields.paces}
          onChange={(event) => set({ paces: event.target.value })}
        />
      </Form.Item>
      <div className={styles.row}>
        <PressButton look="primary" large onClick={save}>
          {WORDS.save}
        </PressButton>
        <PressButton onClick={() => void takeOwnPaces()}>{WORDS.ownPaces}</PressButton>
      </div>
    </Form>
  );
}

/** The lines of the head that are one of a few words. */
const CHOICES = [
  {
    field: 'correction',
    label: WORDS.method,
    options: [
      { value: '', label: WORDS.usualMethod },
      ...CORRECTIONS.map((value) => ({ value, label: CORRECTION_WORDS[value].name })),
    ],
  },
  {
    field: 'show',
    label: WORDS.show,
    options: NORTHS.map((value) => ({ value, label: NORTH_NAMES[value] })),
  },
  {
    field: 'timing',
    label: WORDS.timing,
    options: [
      { value: '', label: WORDS.timings.naismith },
      ...TIMINGS.slice(1).map((value) => ({ value, label: WORDS.timings[value] })),
    ],
  },
] as const;

const Choices = ({ head: { fields, set } }: { head: Head }) =>
  CHOICES.map(({ field, label, options }) => (
    <Form.Item key={field} label={label} htmlFor={`head-${field}`}>
      <Select
        id={`head-${field}`}
        aria-label={label}
        value={fields[field]}
        options={[...options]}
        onChange={(value: string) => set({ [field]: value })}
      />
    </Form.Item>
  ));
