import { expose } from 'comlink';
import { readCode, type CodesWorker } from './read-code';

expose({ read: readCode } satisfies CodesWorker);
