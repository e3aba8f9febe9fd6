import { answers } from './answers';

answers(() => (require('./solving') as typeof import('./solving')).solverApi);
