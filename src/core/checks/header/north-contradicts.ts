import { angleText } from '../../units/angle';
import type { Check } from '../check';

/** `north-contradicts`: a dial set for the declination, and bearings or ways as magnetic. */
export const northContradicts: Check = ({ outing, places }) => {
  const { compassNorth, correction, declinationEast } = places.frame.norths;
  if (compassNorth === 'magnetic') return [];
  const magnetic = outing.entries.filter(
    (entry) => (entry.kind === 'leg' || entry.kind === 'see') && entry.bearing.north === 'magnetic',
  ).length;
  const isShown = outing.show.north === 'magnetic';
  const isRead = outing.entries.findLast(({ kind }) => kind === 'read');
  const readsMagnetic = isRead?.kind === 'read' && isRead.north === 'magnetic';
  if (magnetic === 0 && !isShown && !readsMagnetic) return [];
  const dial = correction === 'by-mark' ? 'The declination scale' : 'The adjusted compass';
  const turned = declinationEast === null ? '' : `, turned by ${angleText(declinationEast)}`;
  const logged = magnetic === 1 ? '1 bearing is' : `${magnetic} bearings are`;
  const said = [
    ...(magnetic > 0 ? [`${logged} logged as magnetic${turned}`] : []),
    ...(readsMagnetic ? ['the next ones are read as magnetic'] : []),
    ...(isShown ? ['the way home is given as magnetic'] : []),
  ].join(', and ');
  const message =
    `${dial} reads from ${compassNorth} north, yet ${said}. Which is it? Read and show ` +
    `${compassNorth} north, or choose Apply declination.`;
  return [{ code: 'north-contradicts', at: { header: 'declination' }, message }];
};
