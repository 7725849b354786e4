import { useEffect, useRef, useState } from 'react';
import type { Plan } from '@/core/navigation/route/plan';
import { gridOfRoute } from '@/core/navigation/route/points';
import type { OneJob } from '@/workers/worker-call';
import { readHeightsInWorker } from '@/workers/heights/heights';
import type { HeightsAnswer } from '@/workers/heights/heights-run';

/** What is known of the heights along a route. */
export type Heights =
  | { readonly status: 'none' }
  | { readonly status: 'reading'; readonly share: number }
  | { readonly status: 'failed' }
  | { readonly status: 'read'; readonly name: string; readonly answer: HeightsAnswer };

/** Reads files of heights for the points of a plan; other points make what was read void. */
export function useHeights({ route, positions }: Plan) {
  const [heights, setHeights] = useState<Heights>({ status: 'none' });
  const job = useRef<OneJob<HeightsAnswer> | null>(null);
  const points = JSON.stringify(positions);
  const [readFor, setReadFor] = useState(points);
  if (readFor !== points) {
    setReadFor(points);
    setHeights({ status: 'none' });
  }
  const drop = () => {
    const asked = job.current;
    job.current = null;
    asked?.stop();
  };
  useEffect(() => drop, [points]);

  const read = async (files: readonly File[]) => {
    const [first] = positions;
    if (!first || files.length === 0) return;
    const grid = gridOfRoute(route, first);
    setHeights({ status: 'reading', share: 0 });
    const task = {
      files: files.map((file) => ({ name: file.name, content: file })),
      map: grid.ok ? grid.value.definition : '',
      positions,
    };
    const asked = readHeightsInWorker(task, (share) => {
      if (job.current === asked) setHeights({ status: 'reading', share });
    });
    job.current = asked;
    try {
      const answer = await asked.answer;
      if (job.current === asked) {
        const name = files.map((file) => file.name).join(', ');
        setHeights({ status: 'read', name, answer });
      }
    } catch {
      if (job.current === asked) setHeights({ status: 'failed' });
    } finally {
      if (job.current === asked) job.current = null;
    }
  };
  const cancel = () => {
    drop();
    setHeights({ status: 'none' });
  };
  return { heights, read, cancel };
}
