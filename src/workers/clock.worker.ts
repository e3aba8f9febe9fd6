import { answers } from './answers';

answers(() => (require('./clock') as typeof import('./clock')).clockApi);
