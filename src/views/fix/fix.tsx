'use client';
import '@/core/survey/adjusted/provided';
import dayjs from 'dayjs';
import { useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import { faultMessage } from '@/core/faults/messages';
import type { KnownPlace } from '@/core/model/known-place';
import { blankOuting, type Outing } from '@/core/model/outing';
import { solve } from '@/core/survey/solve';
import { errorsOfNewOuting } from '@/store/own-errors';
import { useEarthModels } from '@/views/shared/data/use-earth-models';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { PlainPage } from '@/views/shared/page/plain-page';
import { FixPage } from './fix-page';
import { useKnown, type Known } from './use-known';
import { WORDS } from './words';

/** Where one is on the map: of the outing that the address names, or without one. */
export function Fix() {
  const id = useSearchParams().get('id');
  const known = useKnown();
  return id === null ? <FixAlone known={known} /> : <FixOfOuting known={known} />;
}

function FixOfOuting({ known }: { known: Known }) {
  const found = useNamedSolution();
  if (!('solution' in found)) return <PlainPage {...found} />;
  return <FixPage solution={found.solution} open={found.open} known={known} />;
}

/** An outing of today at a known place: where there is none, a fix is solved in it. */
const scratch = ({ name, positions }: KnownPlace): Outing => ({
  ...blankOuting('fix', WORDS.scratch),
  ...errorsOfNewOuting(),
  date: { day: dayjs().format('YYYY-MM-DD') },
  declination: { source: 'model' },
  convergence: { source: 'model' },
  entries: [{ kind: 'known', name, position: positions[0]! }],
});

function FixAlone({ known }: { known: Known }) {
  const models = useEarthModels('grid');
  const [first] = known.places;
  const outing = useMemo(
    () => (first ? scratch(first) : blankOuting('fix', WORDS.scratch)),
    [first],
  );
  const solved = useMemo(() => (models ? solve(outing, models) : null), [outing, models]);
  if (known.isLoading || !solved) return <PlainPage words={WORDS.loading} />;
  if (!solved.ok) return <PlainPage words={faultMessage(solved.fault.fault)} alert />;
  return <FixPage solution={solved.value} open={null} known={known} />;
}
