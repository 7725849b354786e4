import { surveyTools } from '@/core/survey/adjusted/survey-tools';
import type { Area } from '@/core/model/area';
import type { Outing } from '@/core/model/outing';
import { areaAnswer, areaParts } from '@/core/navigation/area-answer';
import type { EarthModels } from '@/core/north/earth-models';
import type { Survey } from '@/core/survey/party/survey';
import { solveAsWalked } from '@/core/survey/solve';
import type { Solution } from '@/core/survey/solution';

/** The outings of an area as one survey; null where they don't join. */
export function surveyOfArea(
  area: Area,
  outings: readonly Outing[],
  models: EarthModels,
): Survey | null {
  const solutions = new Map<string, Solution>();
  for (const outing of outings.filter((each) => area.outings.includes(each.id))) {
    // The area has a method of its own.
    const found = solveAsWalked(outing, models, { tools: surveyTools });
    if (found.ok) solutions.set(outing.id, found.value);
  }
  const { joined } = areaAnswer(area, solutions, areaParts(area, solutions));
  return joined.ok ? joined.survey : null;
}
