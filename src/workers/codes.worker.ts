import { expose } from 'comlink';
import type { CodesWorker } from './codes-protocol';
import { readCode } from './read-code';

expose({ read: readCode } satisfies CodesWorker);
