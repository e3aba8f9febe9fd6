import { answers } from './answers';

answers(() => (require('./estimating') as typeof import('./estimating')).estimatorApi);
