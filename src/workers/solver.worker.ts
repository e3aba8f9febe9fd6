import { expose } from 'comlink';
import { solvingApi } from './solving';

expose(solvingApi);
