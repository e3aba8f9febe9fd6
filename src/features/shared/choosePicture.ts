import { launchImageLibraryAsync, type ImagePickerAsset } from 'expo-image-picker';

/** Lets her choose or take a picture; asked for at that moment by the browser. @returns null when she chose none */
export async function choosePicture(): Promise<ImagePickerAsset | null> {
  const chosen = await launchImageLibraryAsync({ mediaTypes: ['images'] });
  return chosen.canceled ? null : (chosen.assets[0] ?? null);
}
