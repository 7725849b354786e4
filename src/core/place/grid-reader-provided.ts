import { provideGridReader } from '../readings/place/grid-reader';
import { readGridText } from './grid-text';

provideGridReader(readGridText);
