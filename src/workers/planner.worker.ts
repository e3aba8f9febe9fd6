import { expose } from 'comlink';
import { planFor } from './compute';

expose(planFor);
