import { Input } from 'antd';
import { useState } from 'react';
import { faultMessage } from '@/core/faults/messages';
import { readRouteText, writeRouteText } from '@/core/log-text/route/route-text';
import type { Route } from '@/core/model/route';
import { PressButton } from '@/ui/controls/press-button';
import styles from '../route.module.css';
import { WORDS } from '../words';

interface Props {
  route: Route;
  onSave: (route: Route) => void;
}

/** The whole route as text, for those who write faster than they tap. */
export function TextForm({ route, onSave }: Props) {
  const [text, setText] = useState(() => writeRouteText(route));
  const read = readRouteText(text, route.id);
  return (
    <div className={styles.form}>
      <p className={styles.soft}>{WORDS.textHelp}</p>
      <Input.TextArea
        className={styles.figureField}
        aria-label={WORDS.tabs.text}
        autoSize={{ minRows: 10, maxRows: 30 }}
        value={text}
        spellCheck={false}
        onChange={(event) => setText(event.target.value)}
      />
      {!read.ok && (
        <ul className={styles.faults} role="alert">
          {read.fault.map(({ line, column, fault }) => (
            <li key={`${line} ${column}`}>{WORDS.faultAt(line, faultMessage(fault))}</li>
          ))}
        </ul>
      )}
      <PressButton
        look="primary"
        large
        disabled={!read.ok}
        onClick={() =>
          read.ok && onSave({ ...read.value, ...(route.picture && { picture: route.picture }) })
        }
      >
        {WORDS.useText}
      </PressButton>
    </div>
  );
}
