import { writeRouteText } from '../../core/log-text/route/route-text';
import type { RouteFormat } from './route-format';

export const routeText: RouteFormat = {
  name: 'text',
  words: 'Text',
  fileEnding: '.route.txt',
  mediaType: 'text/plain',
  write: ({ route }) => writeRouteText(route),
};
