import { t } from '@lingui/core/macro';
import { useState } from 'react';

/** A picture that was chosen. */
export interface ChosenPicture {
  readonly file: Blob;
  /** Where this page may show it from. */
  readonly uri: string;
  readonly width: number;
  readonly height: number;
}

type Seen<Found> =
  | { readonly step: 'none' }
  | { readonly step: 'looking'; readonly picture: ChosenPicture }
  | { readonly step: 'seen'; readonly picture: ChosenPicture; readonly found: Found }
  | { readonly step: 'failed'; readonly text: string };

/** Choosing a picture and having it looked at, off the page. */
export function useSeen<Found>(look: (file: Blob) => Promise<Found>): {
  readonly seen: Seen<Found>;
  readonly choose: () => Promise<void>;
  readonly lookAgain: (again: (file: Blob) => Promise<Found>) => Promise<void>;
} {
  const [seen, setSeen] = useState<Seen<Found>>({ step: 'none' });
  const lookAt = async (picture: ChosenPicture, at: (file: Blob) => Promise<Found>) => {
    setSeen({ step: 'looking', picture });
    try {
      setSeen({ step: 'seen', picture, found: await at(picture.file) });
    } catch {
      setSeen({
        step: 'failed',
        text: t`This picture cannot be looked at here. It needs a PNG or JPEG, and once a network.`,
      });
    }
  };
  return {
    seen,
    choose: async () => {
      // Choosing a picture is code that few visits need.
      const { choosePicture } = await import('./choosePicture');
      const asset = await choosePicture().catch(() => null);
      if (!asset?.file) return;
      await lookAt({ file: asset.file, uri: asset.uri, width: asset.width, height: asset.height }, look);
    },
    lookAgain: async (again) => {
      if (seen.step === 'looking' || seen.step === 'seen') await lookAt(seen.picture, again);
    },
  };
}
