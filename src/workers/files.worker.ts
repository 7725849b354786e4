import { expose } from 'comlink';
import { CairnDatabase } from '../store/database';
import { FilesRun } from './files-run';

expose(new FilesRun(new CairnDatabase()));
