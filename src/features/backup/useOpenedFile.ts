import { useEffect, useEffectEvent } from 'react';

/** Files that the system opened this application with; not every browser has it. */
interface LaunchQueue {
  setConsumer(consumer: (launched: { readonly files?: readonly FileSystemFileHandle[] }) => void): void;
}

/** Hears of a file that was opened with this application from outside. */
export function useOpenedFile(onFile: (file: File) => void): void {
  const heard = useEffectEvent(onFile);
  useEffect(() => {
    const { launchQueue } = globalThis as { readonly launchQueue?: LaunchQueue };
    launchQueue?.setConsumer(({ files }) => {
      void files?.[0]?.getFile().then(heard);
    });
  }, []);
}
