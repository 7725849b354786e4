'use client';
import { placeOf } from '@/core/model/outing';
import { changeSettings } from '@/core/edit/settings';
import { outcomeMessage } from '@/views/shared/data/outcome-message';
import { useEarthModels } from '@/views/shared/data/use-earth-models';
import { useNamedSolution } from '@/views/shared/data/use-solution';
import { PlainPage } from '@/views/shared/page/plain-page';
import { DeclinationPage } from './declination-page';

/** The declination of the outing that the address names. */
export function Declination() {
  const found = useNamedSolution();
  const hasPosition = 'solution' in found && placeOf(found.solution.outing) !== undefined;
  const models = useEarthModels(hasPosition ? 'grid' : 'none');
  if (!('solution' in found)) return <PlainPage {...found} />;
  return (
    <DeclinationPage
      solution={found.solution}
      models={models}
      onSave={async (settings) => outcomeMessage(await found.open.run(changeSettings(settings)))}
    />
  );
}
