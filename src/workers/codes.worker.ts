import { expose } from 'comlink';
import type { CodesWorker } from './read-code';
import { readCode } from './read-code';

expose({ read: readCode } satisfies CodesWorker);
