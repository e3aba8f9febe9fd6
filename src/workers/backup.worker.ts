import { expose } from 'comlink';
import { readBackup } from '@/core/exchange';

expose(readBackup);
