import { lengthText } from '@/ui/units/shown';
import { PressButton } from '@/ui/controls/press-button';
import { placeOnMap } from '@/views/shared/fields/grid-choice';
import { viewUrl } from '@/views/views';
import styles from '../map.module.css';
import { WORDS } from '../words';
import type { ThingProps } from './thing-props';

/** Where the bearings put the traveller, and how sure that is. */
export function FixThing({ context: { fixed, solution } }: ThingProps) {
  if (!fixed) return null;
  return (
    <>
      <p className={styles.big}>{placeOnMap(fixed.position)}</p>
      <p>{WORDS.fixWithin(lengthText(fixed.fix.ellipse.semiMajorMetres))}</p>
      <PressButton href={viewUrl('fix', solution?.outing.id)}>{WORDS.toFix}</PressButton>
    </>
  );
}
