import { t } from '@lingui/core/macro';
import { ImageManipulator, SaveFormat } from 'expo-image-manipulator';
import { failed, ok, type Result } from '@/core/base/measures';
import { PHOTO_LIMITS, type Photo } from '@/core/records/shapes';
import type { Frame } from './frameOf';

/** Asked for as elsewhere, or it would come with the first screen: what two files share does. */
async function chosen(): Promise<Frame | null> {
  const { choosePicture } = await import('../shared/choosePicture');
  return choosePicture();
}

type Picture = Pick<Photo, 'jpeg' | 'widthPx' | 'heightPx'>;

/**
 * Makes a picture small: one that is there, or one that she chooses or takes.
 * @returns null when she chose none
 */
export async function smallPicture(taken?: Frame): Promise<Result<Picture> | null> {
  try {
    const asset = taken ?? (await chosen());
    if (!asset) return null;
    const { width, height } = asset;
    const scale = Math.min(1, PHOTO_LIMITS.longSidePx / Math.max(width, height));
    const size = {
      width: Math.max(1, Math.round(width * scale)),
      height: Math.max(1, Math.round(height * scale)),
    };
    const drawn = await ImageManipulator.manipulate(asset.uri).resize(size).renderAsync();
    const saved = await drawn.saveAsync({
      base64: true,
      compress: PHOTO_LIMITS.quality,
      format: SaveFormat.JPEG,
    });
    // Some browsers hand back a whole data address, some the base64 part alone.
    const jpeg = (saved.base64 ?? '').replace(/^data:[^,]*,/, '');
    return ok({ jpeg, widthPx: size.width, heightPx: size.height });
  } catch {
    return failed('not-a-picture', t`This file cannot be read as a picture; choose another.`);
  }
}
