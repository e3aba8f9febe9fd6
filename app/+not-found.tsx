export { NotFound as default } from '@/features/shared/NotFound';
