import { HeadEditor } from '@/features/heads/HeadEditor';

export default function NewHead() {
  return <HeadEditor />;
}
