import { expose } from 'comlink';
import { estimateFor } from './compute';

expose(estimateFor);
