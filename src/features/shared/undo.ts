import { toast } from 'sonner-native';

/** Says what was done, with a way back. */
export function offerUndo(said: string, undo: () => void): void {
  const id = toast(said, {
    duration: 8000,
    action: {
      label: 'Undo',
      onClick: () => {
        undo();
        toast.dismiss(id);
      },
    },
  });
}
