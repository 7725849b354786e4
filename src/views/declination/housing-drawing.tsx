'use client';
import { Radio } from 'antd';
import { useState } from 'react';
import { NORTH_WORDS } from '@/core/entries/describe';
import { declinationScaleMark } from '@/core/north/conversion-sum';
import type { OutingNorths } from '@/core/north/outing-norths';
import { NORTHS, type North } from '@/core/units/bearing';
import type { Degrees } from '@/core/units/units';
import { FaceLetters, FaceNeedle, FaceScale, FaceTicks } from '@/ui/compass/face';
import { Section } from '@/views/shared/page/view-page';
import styles from './declination.module.css';
import { markWords, WORDS } from './words';

interface Props {
  norths: OutingNorths;
  read: North;
}

/** A compass with a fixed declination scale, and the mark to which its needle goes. */
export function HousingDrawing({ norths, read }: Props) {
  const [wanted, setWanted] = useState<North>(read === 'magnetic' ? 'true' : read);
  const mark = declinationScaleMark(wanted, norths);
  return (
    <Section id="housing" title={WORDS.housing}>
      <p className={styles.soft}>{WORDS.housingHow}</p>
      <Radio.Group
        aria-label={WORDS.dialReads}
        value={wanted}
        onChange={(event) => setWanted(event.target.value as North)}
        optionType="button"
        buttonStyle="solid"
        options={NORTHS.map((value) => ({ value, label: NORTH_WORDS[value] }))}
      />
      {mark === null ? (
        <p className={styles.warning}>{WORDS.unknown}</p>
      ) : (
        <>
          <Housing mark={mark} />
          <p data-testid="mark">{markWords(mark, wanted)}</p>
        </>
      )}
    </Section>
  );
}

const SCALE = [-40, -30, -20, -10, 0, 10, 20, 30, 40];

/** A compass housing from above, its N up, with the needle on a mark of the scale. */
const Housing = ({ mark }: { mark: Degrees }) => (
  <svg viewBox="-120 -128 240 250" className={styles.drawing} aria-hidden="true">
    <circle r="112" className={styles.rim} />
    <circle r="84" className={styles.well} />
    <FaceTicks
      every={10}
      rim={110}
      // None where the letters are.
      length={(turn) => (turn % 90 === 0 ? 0 : turn % 30 === 0 ? 12 : 6)}
      className={styles.tick}
    />
    <FaceLetters radius={98} down={5} className={styles.letter} />
    <FaceScale
      marks={SCALE}
      rim={80}
      length={(turn) => (turn % 20 === 0 ? 10 : 5)}
      isNamed={(turn) => turn !== 0 && turn % 20 === 0}
      className={styles.mark}
    />
    <FaceNeedle
      length={80}
      half={6}
      tail={62}
      turn={mark}
      className={styles.needleShape}
      south={styles.needleTail}
    >
      <circle r="4" />
    </FaceNeedle>
  </svg>
);
