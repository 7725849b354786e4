'use client';
import { Radio, Select, Slider } from 'antd';
import { memo, useCallback, useMemo, useState } from 'react';
import { fieldOf, THINGS, type Magnet } from '@/core/practice/compass/field';
import {
  COMPASS_FAULTS,
  type CompassFault,
  type HandCompass,
} from '@/core/practice/compass/hand-compass';
import { PART_IDS, partName, partUse, type PartId } from '@/core/practice/compass/parts';
import type { CompassSetting } from '@/core/practice/question';
import { compassSetting } from '@/core/practice/builders';
import { normalised, signedDifference } from '@/core/units/angle';
import type { Degrees } from '@/core/units/units';
import { Section, ViewPage } from '@/views/shared/page/view-page';
import { viewUrl } from '@/views/views';
import { WORDS } from '../words';
import { Compass } from './compass';
import page from '../exercise/exercise.module.css';

const LOOKS = ['plate', 'mirror', 'card'] as const;
const FURTHEST_CENTIMETRES = 120;
const CENTIMETRES = 100;
/** Whatever is brought near comes from the right, its own north end pointing at the compass. */
const FROM_DEGREES = 90;

const NOTHING_NEAR: readonly Magnet[] = [];

/** What is brought near, to the right of the compass. */
function magnetsOf(thing: string, centimetres: number, body: Degrees): readonly Magnet[] {
  const found = THINGS.find(({ name }) => name === thing);
  if (!found) return NOTHING_NEAR;
  const azimuthDegrees = normalised(body + FROM_DEGREES);
  const axisDegrees = normalised(azimuthDegrees + 180);
  return [{ ...found, azimuthDegrees, metres: centimetres / CENTIMETRES, axisDegrees }];
}

/** The compass by itself: turned, tilted, with iron near it, and with what can be wrong with it. */
export function FreeCompass() {
  const [compass, setCompass] = useState<HandCompass>({
    bodyDegrees: 40,
    dialDegrees: 320,
    housingEast: 0,
  });
  const [look, setLook] = useState<CompassSetting['look']>('plate');
  const [fault, setFault] = useState<CompassFault>('none');
  const [tilt, setTilt] = useState(0);
  const [part, setPart] = useState<PartId | ''>('');
  const [thing, setThing] = useState<string>('');
  const [centimetres, setCentimetres] = useState(40);
  const magnets = useMemo(
    () => magnetsOf(thing, centimetres, compass.bodyDegrees),
    [thing, centimetres, compass.bodyDegrees],
  );
  const setting = useMemo(
    () => compassSetting({ look, fault, magnets, isAdjustable: true, hasScale: true }),
    [look, fault, magnets],
  );
  const change = useCallback(
    (part: Partial<HandCompass>) => setCompass((before) => ({ ...before, ...part })),
    [],
  );
  return (
    <ViewPage
      view="practice"
      about={WORDS.freeCompass}
      back={{ href: viewUrl('practice'), words: WORDS.toPractice }}
    >
      <div className={page.columns}>
        <Compass
          setting={setting}
          compass={compass}
          onChange={change}
          part={part === '' ? undefined : part}
          tiltDegrees={tilt}
        />
        <Section id="conditions" title={WORDS.freeCompassWhy}>
          <Kinds look={look} onLook={setLook} fault={fault} onFault={setFault} />
          {look !== 'card' && <Parts part={part} onPart={setPart} />}
          <Tilt tilt={tilt} onTilt={setTilt} />
          <Near
            thing={thing}
            onThing={setThing}
            centimetres={centimetres}
            onCentimetres={setCentimetres}
            magnets={magnets}
          />
        </Section>
      </div>
    </ViewPage>
  );
}

interface KindsProps {
  look: CompassSetting['look'];
  onLook: (look: CompassSetting['look']) => void;
  fault: CompassFault;
  onFault: (fault: CompassFault) => void;
}

/** Which compass it is, and what is wrong with it. These stay as they are while it is turned. */
const Kinds = memo(function Kinds({ look, onLook, fault, onFault }: KindsProps) {
  return (
    <>
      <Choice
        label={WORDS.kind}
        value={look}
        onChoose={onLook}
        options={LOOKS}
        texts={WORDS.kinds}
      />
      <Choice
        label={WORDS.state}
        value={fault}
        onChoose={onFault}
        options={COMPASS_FAULTS}
        texts={WORDS.faults}
      />
    </>
  );
});

interface PartsProps {
  part: PartId | '';
  onPart: (part: PartId | '') => void;
}

/** A part is marked, and says its name and what it is for. */
const Parts = memo(function Parts({ part, onPart }: PartsProps) {
  return (
    <>
      <label className={page.field}>
        <span>{WORDS.part}</span>
        <Select
          id="compass-part"
          aria-label={WORDS.part}
          showSearch={{ optionFilterProp: 'label' }}
          value={part}
          onChange={onPart}
          options={[
            { value: '' as const, label: WORDS.noPart },
            ...PART_IDS.map((value) => ({ value, label: partName(value) })),
          ]}
        />
      </label>
      <p role="status" data-testid="part-use">
        {part !== '' && WORDS.partUse(partName(part), partUse(part))}
      </p>
    </>
  );
});

interface TiltProps {
  tilt: number;
  onTilt: (tilt: number) => void;
}

const Tilt = memo(function Tilt({ tilt, onTilt }: TiltProps) {
  return (
    <Measure
      label={WORDS.tilt}
      value={tilt}
      most={40}
      onChange={onTilt}
      says={WORDS.tilted(tilt)}
    />
  );
});

const THING_TEXTS = {
  '': WORDS.nothingNear,
  ...Object.fromEntries(THINGS.map(({ name }) => [name, name])),
};

interface NearProps {
  thing: string;
  onThing: (thing: string) => void;
  centimetres: number;
  onCentimetres: (centimetres: number) => void;
  magnets: readonly Magnet[];
}

/** Something of iron near the compass, and how far it pulls the needle. */
const Near = memo(function Near({
  thing,
  onThing,
  centimetres,
  onCentimetres,
  magnets,
}: NearProps) {
  return (
    <>
      <Choice
        label={WORDS.near}
        value={thing}
        onChoose={onThing}
        options={['', ...THINGS.map(({ name }) => name)]}
        texts={THING_TEXTS}
      />
      {thing !== '' && (
        <Measure
          label={`${WORDS.away}: ${centimetres} cm`}
          value={centimetres}
          least={4}
          most={thing === 'car' ? 20 * FURTHEST_CENTIMETRES : FURTHEST_CENTIMETRES}
          onChange={onCentimetres}
          says={WORDS.pulled(Math.abs(signedDifference(0, fieldOf(0, magnets).degrees)))}
        />
      )}
    </>
  );
});

interface ChoiceProps<Value extends string> {
  label: string;
  value: Value;
  options: readonly Value[];
  texts: Readonly<Record<string, string>>;
  onChoose: (value: Value) => void;
}

const Choice = <Value extends string>({
  label,
  value,
  options,
  texts,
  onChoose,
}: ChoiceProps<Value>) => (
  <div className={page.actions}>
    <span>{label}</span>
    <Radio.Group
      aria-label={label}
      optionType="button"
      value={value}
      onChange={(event) => onChoose(event.target.value as Value)}
      options={options.map((each) => ({ value: each, label: texts[each] ?? each }))}
    />
  </div>
);

interface MeasureProps {
  label: string;
  value: number;
  least?: number;
  most: number;
  says: string;
  onChange: (value: number) => void;
}

function Measure({ label, value, least = 0, most, says, onChange }: MeasureProps) {
  const id = `measure-${label.replaceAll(/\W/g, '')}`;
  return (
    <div>
      <p id={id}>{label}</p>
      <Slider
        ariaLabelledByForHandle={id}
        min={least}
        max={most}
        tooltip={{ open: false }}
        value={value}
        onChange={onChange}
      />
      <p role="status">{says}</p>
    </div>
  );
}
