export { ReadingScreen as default } from '@/features/strand/ReadingScreen';
