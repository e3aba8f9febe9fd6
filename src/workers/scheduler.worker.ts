import { expose } from 'comlink';
import { schedulingApi } from './solving';

expose(schedulingApi);
