import { expose } from 'comlink';
import { plannerApi } from './compute';

expose(plannerApi);
