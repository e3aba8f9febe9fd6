import { answers } from './answers';
import { solverApi } from './solving';

answers(solverApi);
