export { HeadsScreen as default } from '@/features/heads/HeadsScreen';
