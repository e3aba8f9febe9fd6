export { StrandScreen as default } from '@/features/strand/StrandScreen';
