import { expose } from 'comlink';
import { clockApi } from './clock';

expose(clockApi);
