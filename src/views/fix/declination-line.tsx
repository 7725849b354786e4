import { Input } from 'antd';
import { useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { readHeaderLine } from '@/core/log-text/read-line';
import type { DeclinationSetting } from '@/core/model/header';
import type { Outing } from '@/core/model/outing';
import { modelSetting, type FixDeclination } from '@/core/navigation/fix/fix-declination';
import { disagreementText } from '@/core/north/implausible-declination';
import type { FieldAtPlace } from '@/core/north/earth-models';
import { angleText } from '@/core/units/angle';
import { PressButton } from '@/ui/controls/press-button';
import { sourcedMethod } from '@/views/shared/declination/words';
import styles from './fix.module.css';
import { WORDS } from './words';

interface Props {
  declination: FixDeclination;
  outing: Outing;
  /** Resolves to why it was not set, or null. */
  onSet: (setting: DeclinationSetting) => Promise<string | null>;
}

/** The declination that the answer goes by, and the field that changes it: open without one. */
export function DeclinationLine({ declination, outing, onSet }: Props) {
  const { norths, field, implausible } = declination;
  const isUnknown = norths.declinationEast === null;
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <p className={styles.declination}>
        <span data-testid="fix-declination" role={isUnknown ? 'alert' : undefined}>
          {isUnknown ? WORDS.needsDeclination : sourcedMethod(norths)}
        </span>
        {!isUnknown && (
          <PressButton
            look="plain"
            aria-label={WORDS.changeDeclination}
            aria-expanded={isOpen}
            onClick={() => setOpen(!isOpen)}
          >
            {WORDS.change}
          </PressButton>
        )}
      </p>
      {implausible && (
        <p className={styles.warning} role="alert">
          {disagreementText(implausible)}
        </p>
      )}
      {(isOpen || isUnknown) && (
        <DeclinationForm
          field={norths.declinationSource === 'model' ? null : field}
          outing={outing}
          onSet={async (setting) => {
            const refused = await onSet(setting);
            if (refused === null) setOpen(false);
            return refused;
          }}
        />
      )}
    </>
  );
}

interface FormProps extends Pick<Props, 'onSet' | 'outing'> {
  /** What the model says, where that is not in use. */
  field: FieldAtPlace | null;
}

/** The declination as it is typed, or the model's with one press. */
function DeclinationForm({ field, outing, onSet }: FormProps) {
  const [text, setText] = useState('');
  const [refused, setRefused] = useState<string | null>(null);
  const use = async () => {
    const read = readHeaderLine('declination', text.trim() || ';');
    if (!read.ok) return setRefused(faultMessage(read.fault));
    const { declination } = read.value;
    if (declination?.source !== 'typed' && declination?.source !== 'margin') {
      return setRefused(WORDS.needsAngle);
    }
    return setRefused(await onSet(declination));
  };
  return (
    <div className={styles.row}>
      <Input
        className={styles.angle}
        aria-label={WORDS.declination}
        placeholder={WORDS.declinationHint}
        value={text}
        autoComplete="off"
        onChange={({ target }) => setText(target.value)}
        onPressEnter={() => void use()}
      />
      <PressButton disabled={text.trim() === ''} onClick={() => void use()}>
        {WORDS.useDeclination}
      </PressButton>
      {field && (
        <PressButton onClick={() => void onSet(modelSetting(outing, field)).then(setRefused)}>
          {WORDS.modelOffer(field.model, angleText(field.eastDegrees))}
        </PressButton>
      )}
      {refused !== null && (
        <p className={styles.warning} role="alert">
          {refused}
        </p>
      )}
    </div>
  );
}
