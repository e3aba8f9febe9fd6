import { lazyScreen } from '@/features/shared/lazyScreen';

export default lazyScreen(async () => (await import('@/rooms')).FeelScreen);
