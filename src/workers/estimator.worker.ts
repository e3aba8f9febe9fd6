import { answers } from './answers';

answers(() => (require('./compute') as typeof import('./compute')).estimatorApi);
