import { expose } from 'comlink';
import { estimatorApi } from './compute';

expose(estimatorApi);
