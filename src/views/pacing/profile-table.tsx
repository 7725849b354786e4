import dayjs from 'dayjs';
import type { Calibration, PaceProfile } from '@/core/model/pace-profile';
import { calibrate } from '@/core/pacing/calibration';
import { newWalkSpread } from '@/core/pacing/new-walk-spread';
import { currentCalibrations } from '@/core/pacing/profile-paces';
import styles from './pacing.module.css';
import { shortLengthText } from '@/ui/units/shown';
import { WORDS } from './words';

/** A profile's paces, ground by ground: the newest calibration, which is in use, then the rest. */
export function ProfileTable({ profile }: { profile: PaceProfile | undefined }) {
  if (!profile || profile.calibrations.length === 0) return <p>{WORDS.none}</p>;
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          {WORDS.columns.map((column) => (
            <th key={column} scope="col">
              {column}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {[...currentCalibrations(profile)].map(([ground, newest]) => {
          const older = profile.calibrations.filter(
            (each) => each.ground === ground && each !== newest,
          );
          return (
            <CalibrationRows
              key={ground ?? ''}
              newest={newest}
              older={older.sort((a, b) => b.at.localeCompare(a.at))}
            />
          );
        })}
      </tbody>
    </table>
  );
}

function CalibrationRows({ newest, older }: { newest: Calibration; older: Calibration[] }) {
  return (
    <>
      <CalibrationRow calibration={newest} />
      {older.length > 0 && (
        <tr className={styles.older}>
          <td colSpan={5}>
            <details>
              <summary>{WORDS.older(older.length)}</summary>
              <table className={styles.table}>
                <tbody>
                  {older.map((each) => (
                    <CalibrationRow key={each.id} calibration={each} />
                  ))}
                </tbody>
              </table>
            </details>
          </td>
        </tr>
      )}
    </>
  );
}

function CalibrationRow({ calibration }: { calibration: Calibration }) {
  const found = calibrate(calibration);
  if (!found.ok) return null;
  const { paceMetres, pacesPer100Metres, spread, walks } = found.value;
  const sigma = newWalkSpread(spread, walks.length);
  return (
    <tr>
      <th scope="row">{calibration.ground ?? WORDS.general}</th>
      <td>{shortLengthText(paceMetres)}</td>
      <td>{pacesPer100Metres.toFixed(1)}</td>
      <td>{`${(100 * sigma).toFixed(1)} %`}</td>
      <td>{dayjs(calibration.at).format('D MMM YYYY')}</td>
    </tr>
  );
}
