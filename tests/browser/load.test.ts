import { describe, expect, inject, it } from 'vitest';
import { soak } from '../support/soak';

// A share of the long run, `npm run faults`.
describe('the endpoints under load', () => {
  it('answer 1,200 requests, sixteen at a time, each correctly', async () => {
    const { wrong } = await soak(inject('url'), process.pid, 1200);
    expect(wrong).toEqual([]);
  });
});
