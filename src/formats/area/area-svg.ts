import { nameOf } from '../../core/survey/party/party';
import type { North } from '../../core/units/bearing';
import { USUAL_FIGURES, roundLengthText } from '../../core/units/figures';
import { ok, type Result } from '../../core/units/result';
import { visibleText } from '../../core/units/visible';
import { namedIn, viewOfLayers } from '../../sketch/layer';
import { areaLayers, dashesOf, sureLayer } from '../../sketch/layers/area';
import { placeLabels } from '../../sketch/labels';
import { scaleBarMetres } from '../../sketch/view';
import {
  LABEL_EDGE,
  labelElements,
  layerElements,
  line,
  northElements,
  scaleBar,
  SCALE_BAR_PIXELS,
  sheetOf,
  svgSheet,
  WIDTH,
} from '../svg';
import { xmlElement } from '../xml';
import type { AreaFormat, WrittenArea } from './area-format';

const KEY_LINE = 20;
/** Room between the drawing and the key of its lines. */
const KEY_GAP = 14;

/** The map of an area in black on white: each outing by its own line, and how sure places are. */
export const areaSvg: AreaFormat = {
  name: 'svg',
  mediaType: 'image/svg+xml',
  fileEnding: '.svg',
  write: drawnArea,
};

function drawnArea({ name, survey }: WrittenArea): Result<string, string> {
  const { party, places } = survey;
  const { north, norths } = places.frame;
  const outings = areaLayers(survey, new Set());
  const layers = [sureLayer(survey, new Set()), ...outings];
  const drawn = sheetOf(outings);
  // The key of the lines is below the drawing.
  const sheet = { ...drawn, height: drawn.height + KEY_GAP + KEY_LINE * party.members.length };
  const view = viewOfLayers(outings, drawn);
  const box = { left: 0, top: LABEL_EDGE, right: WIDTH, bottom: drawn.height - LABEL_EDGE };
  const labels = placeLabels(namedIn(...outings), view, { lines: [], boxes: [] }, box);
  const bar = roundLengthText(scaleBarMetres(view.k, SCALE_BAR_PIXELS), USUAL_FIGURES);
  const key = party.members.flatMap((_, outing) => {
    const y = drawn.height + KEY_GAP + KEY_LINE * outing;
    const dashes = { 'stroke-dasharray': dashesOf(outing) };
    return [
      line(`M20 ${y - 5}h56`, 2, dashes),
      xmlElement('text', { x: 86, y }, visibleText(nameOf(party, outing))),
    ];
  });
  const used = new Set<North>(north === 'true' ? ['true', 'magnetic'] : ['magnetic']);
  const words = `${party.nodes.all.length} places, 95 % ellipses from the origin`;
  return ok(
    svgSheet(sheet, visibleText(name) || 'Area', words, [
      ...layerElements(layers, view),
      scaleBar(view, drawn),
      ...northElements(used, norths),
      xmlElement(
        'g',
        { stroke: '#fff', 'stroke-width': 4, 'paint-order': 'stroke' },
        ...labels.flatMap(labelElements),
        xmlElement('text', { x: 20, y: drawn.height - 32 }, bar),
      ),
      ...key,
    ]),
  );
}
