import { useEffect, useRef, useState } from 'react';

type Camera =
  | { readonly step: 'off' }
  | { readonly step: 'on'; readonly stream: MediaStream }
  /** She said no, or there is none. */
  | { readonly step: 'refused' };

interface UsedCamera {
  readonly camera: Camera;
  readonly start: () => Promise<void>;
  readonly end: () => void;
}

/** The camera at the back, asked for when it is started and let go when it is not needed any more. */
export function useCamera(): UsedCamera {
  const [camera, setCamera] = useState<Camera>({ step: 'off' });
  const stream = useRef<MediaStream | null>(null);
  const isGone = useRef(false);
  const letGo = () => {
    for (const track of stream.current?.getTracks() ?? []) track.stop();
    stream.current = null;
  };
  useEffect(() => {
    isGone.current = false;
    return () => {
      isGone.current = true;
      letGo();
    };
  }, []);
  return {
    camera,
    start: async () => {
      try {
        const video = { facingMode: 'environment', width: { ideal: 1280 } };
        stream.current = await navigator.mediaDevices.getUserMedia({ video });
        // She may have left while the browser asked her.
        if (isGone.current) letGo();
        else setCamera({ step: 'on', stream: stream.current });
      } catch {
        setCamera({ step: 'refused' });
      }
    },
    end: () => {
      letGo();
      setCamera({ step: 'off' });
    },
  };
}
