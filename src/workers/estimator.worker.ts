import { answers } from './answers';
import { estimatorApi } from './estimating';

answers(estimatorApi);
