import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { blankArea } from '@/core/model/area';
import { keepChoice } from '@/store/keep-choice';
import {
  errorsOfNewOuting,
  keepOwnErrors,
  ownErrors,
  ownSigmas,
  readingOf,
  type OwnErrors,
} from '@/store/own-errors';
import { ownOutings } from '@/store/own-outings';
import { solvedLog } from '../support/outings';

const own = (more: Partial<OwnErrors>): OwnErrors => ({
  set: [],
  learns: true,
  since: null,
  name: null,
  learned: [],
  ...more,
});
const landmark = (value: number) => ({ of: 'landmark', unit: 'degrees', value }) as const;
const paced = (value: number) => ({ of: 'paced', unit: 'percent', value }) as const;

describe('a person’s own errors', () => {
  beforeEach(() => keepChoice('cairn-errors', null));

  it('are what was set, else what was learned, where that isn’t the usual', () => {
    const both = own({ set: [landmark(3)], learned: [landmark(1.8), paced(6.2)] });
    expect(ownSigmas(both)).toEqual([landmark(3), paced(6.2)]);
    expect(ownSigmas({ ...both, learns: false })).toEqual([landmark(3)]);
    expect(ownSigmas(own({ set: [landmark(2)], learned: [paced(5)] }))).toEqual([]);
  });

  it('are remembered, begin a new outing, and are nothing where they can’t be read', async () => {
    expect(errorsOfNewOuting()).toEqual({});
    await keepOwnErrors(own({ set: [paced(3)] }));
    expect(ownErrors().set).toEqual([paced(3)]);
    expect(errorsOfNewOuting()).toEqual({ errors: { sigmas: [paced(3)] } });
    await keepChoice('cairn-errors', '{"set": [{"of": "luck", "unit": "degrees", "value": 1}]}');
    expect(ownErrors()).toEqual(own({}));
    await keepChoice('cairn-errors', 'no JSON');
    expect(ownErrors()).toEqual(own({}));
  });

  it('that were learned are written in degrees or per cent, to a tenth', () => {
    expect(readingOf({ id: 'landmark', sigma: 1.8349 })).toEqual(landmark(1.8));
    expect(readingOf({ id: 'paced', sigma: 0.06149 })).toEqual(paced(6.1));
  });
});

describe('a person’s own outings', () => {
  const LEGS = '220 65m\n350 130m\n100 90m > Start\n';
  const outing = (id: string, by: string | null, log = LEGS) => ({
    ...solvedLog(`date 2026-08-14\n${by === null ? '' : `by ${by}\n`}${log}`).outing,
    id,
  });
  const ids = (outings: readonly { id: string }[]) => outings.map(({ id }) => id);
  const others = '010 65m\n130 130m\n250 90m > Start\n';
  const mine = outing('mine', null);
  const bos = outing('bo', 'Bo', others);

  it('are those by nobody, until a name is said; then theirs as well', () => {
    expect(ids(ownOutings([mine, bos], [], null))).toEqual(['mine']);
    expect(ids(ownOutings([mine, bos], [], 'BO'))).toEqual(['mine', 'bo']);
    expect(ids(ownOutings([mine, bos], [], 'Anna'))).toEqual(['mine']);
  });

  it('are none that an area joins with somebody else’s without saying whose they are', () => {
    const area = blankArea('area', 'Plateau', ['mine', 'bo']);
    expect(ids(ownOutings([mine, bos], [area], null))).toEqual([]);
    expect(ids(ownOutings([mine, bos], [area], 'Bo'))).toEqual(['mine', 'bo']);
    expect(ids(ownOutings([mine, bos], [blankArea('own', '', ['mine'])], null))).toEqual(['mine']);
  });

  it('count once, however often they were imported', () => {
    const again = { ...outing('again', null, `${LEGS}300 40m\n`), name: 'The same day' };
    const another = outing('another', null, others);
    expect(ids(ownOutings([mine, again, another], [], null))).toEqual(['mine', 'another']);
  });
});
