import { describe, expect, it } from 'vitest';
import { apply } from '@/core/edit/operations';
import { applyPaceProfile } from '@/core/edit/settings';
import { writeLog } from '@/core/log-text/write-log';
import type { Calibration, PaceProfile } from '@/core/model/pace-profile';
import { currentCalibrations, paceLines } from '@/core/pacing/profile-paces';
import { solved, solvedLog } from '../../support/outings';

const calibration = (at: string, counts: number[], ground?: string): Calibration => ({
  id: at + (ground ?? ''),
  at,
  ...(ground === undefined ? {} : { ground }),
  course: { value: 100, unit: 'metres' },
  counted: 'paces',
  counts,
});

describe('a pace profile', () => {
  const profile: PaceProfile = {
    id: 'p',
    name: 'Mine',
    calibrations: [
      calibration('2026-06-01T10:00:00Z', [70, 71, 69], 'rough'),
      calibration('2026-07-01T10:00:00Z', [65, 65, 66]),
      calibration('2026-05-01T10:00:00Z', [60, 60, 60]),
      calibration('2026-08-01T10:00:00Z', [72, 76, 74], 'rough'),
    ],
  };

  it('uses the newest calibration of each ground, and keeps the older ones', () => {
    expect(currentCalibrations(profile).get(undefined)?.counts).toEqual([65, 65, 66]);
    expect(currentCalibrations(profile).get('rough')?.counts).toEqual([72, 76, 74]);
    expect(profile.calibrations).toHaveLength(4);
  });

  it('gives an outing its pace lines, the general one first', () => {
    const lines = paceLines(profile);
    expect(lines).toEqual([
      { kind: 'pace', unit: 'per-100-m', value: 65.3, spreadPercent: 4.5, walks: 3 },
      { kind: 'pace', unit: 'per-100-m', value: 74, ground: 'rough', spreadPercent: 4.9, walks: 3 },
    ]);
    const blank = solvedLog('pace 80 per 100 m').outing;
    const used = applyPaceProfile(lines)(blank, null);
    const after = used.ok ? apply(blank, used.value) : used;
    expect(after.ok && writeLog(after.value).split('\n').slice(3, -1)).toEqual([
      'pace 65.3 per 100 m spread 4.5% of 3 walks',
      'pace rough 74 per 100 m spread 4.9% of 3 walks',
    ]);
    const walked = solvedLog('pace 80 per 100 m\n000 80p').outing;
    const later = applyPaceProfile(lines)(walked, null);
    const kept = later.ok ? apply(walked, later.value) : later;
    expect(kept.ok && solved(kept.value).walkedMetres).toBeCloseTo(100, 9);
  });
});
