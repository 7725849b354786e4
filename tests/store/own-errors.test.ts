import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { keepChoice } from '@/store/keep-choice';
import {
  errorsOfNewOuting,
  keepOwnErrors,
  ownErrors,
  ownSigmas,
  readingOf,
  type OwnErrors,
} from '@/store/own-errors';

const own = (more: Partial<OwnErrors>): OwnErrors => ({
  set: [],
  learns: true,
  since: null,
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
