'use client';
import { surveyTools } from '@/core/survey/adjusted/survey-tools';
import dayjs from 'dayjs';
import { useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import { faultMessage } from '@/core/faults/messages';
import type { KnownPlace } from '@/core/model/known-place';
import { blankOuting, type Outing } from '@/core/model/outing';
import { changeHeader } from '@/core/edit/settings';
import { readHeaderLine } from '@/core/log-text/read-line';
import { writeDeclination } from '@/core/log-text/header-lines/declination';
import type { DeclinationSetting } from '@/core/model/header';
import { declinedHeader } from '@/core/navigation/fix/fix-declination';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { workIn } from '@/ui/units/shown';
import { solve } from '@/core/survey/solve';
import { errorsOfNewOuting } from '@/store/own-errors';
import { useEarthModels } from '@/views/shared/data/use-earth-models';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { PlainPage } from '@/views/shared/page/plain-page';
import { FixPage } from './fix-page';
import { useDraft } from './use-draft';
import { useKnown, type Known } from './use-known';
import { WORDS } from './words';
import { nth } from '@/core/units/nth';

/** Where one is on the map: of the outing that the address names, or without one. */
export function Fix() {
  const id = useSearchParams().get('id');
  const known = useKnown();
  return id === null ? <FixAlone known={known} /> : <FixOfOuting id={id} known={known} />;
}

function FixOfOuting({ id, known }: { id: string; known: Known }) {
  const [draft, change] = useDraft(id);
  const models = useEarthModels('field');
  const found = useNamedSolution();
  if (!('solution' in found)) return <PlainPage {...found} />;
  // All lengths here are the map's.
  workIn('metre');
  return (
    <FixPage
      key={id}
      solution={found.solution}
      open={found.open}
      known={known}
      draft={draft}
      change={change}
      models={models}
      onDeclination={async (setting) =>
        outcomeMessage(
          await found.open.run(changeHeader((header) => declinedHeader(header, setting))),
        )
      }
    />
  );
}

/** An outing of today at a known place: where there is none, a fix is solved in it. */
const scratch = ({ name, positions }: KnownPlace, declination: DeclinationSetting): Outing => ({
  ...blankOuting('fix', WORDS.scratch),
  ...errorsOfNewOuting(),
  date: { day: dayjs().format('YYYY-MM-DD') },
  declination,
  convergence: { source: 'model' },
  entries: [{ kind: 'known', name, position: nth(positions, 0) }],
});

/** The declination that was typed for a fix; the model's where none was. */
function typedDeclination(text: string): DeclinationSetting {
  const read = text === '' ? null : readHeaderLine('declination', text);
  return (read?.ok && read.value.declination) || { source: 'model' };
}

function FixAlone({ known }: { known: Known }) {
  const models = useEarthModels('grid');
  const [draft, change] = useDraft('');
  // Known places may be far apart: the declination is that of the one that was sighted.
  const sighted = known.places.find(({ id }) => id === draft.sights[0]?.place);
  const first = sighted ?? known.places[0];
  const outing = useMemo(
    () =>
      first
        ? scratch(first, typedDeclination(draft.declination))
        : blankOuting('fix', WORDS.scratch),
    [first, draft.declination],
  );
  const solved = useMemo(
    () => (models ? solve(outing, models, { tools: surveyTools }) : null),
    [outing, models],
  );
  if (known.isLoading || !solved) return <PlainPage words={WORDS.loading} />;
  if (!solved.ok) return <PlainPage words={faultMessage(solved.fault.fault)} alert />;
  const onDeclination = (setting: DeclinationSetting) => {
    change({ declination: setting.source === 'model' ? '' : writeDeclination(setting) });
    return Promise.resolve(null);
  };
  const own = { draft, change, models, onDeclination };
  return <FixPage solution={solved.value} open={null} known={known} {...own} />;
}
