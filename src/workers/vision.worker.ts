import { answers } from './answers';
import { visionApi } from './seeing';

answers(visionApi);
