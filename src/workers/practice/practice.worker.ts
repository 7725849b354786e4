import { expose } from 'comlink';
import { runPractice } from './practice-run';

expose(runPractice);
