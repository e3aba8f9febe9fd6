/** A picture of the camera, by an address that only this page knows. Width and height in pixels. */
export interface Frame {
  readonly uri: string;
  readonly width: number;
  readonly height: number;
}

/**
 * What a video shows now, cut at its sides or above and below to a shape.
 * @param aspect width by height
 * @returns null where the camera has shown nothing yet
 */
export async function frameOf(video: HTMLVideoElement, aspect: number): Promise<Frame | null> {
  const { videoWidth, videoHeight } = video;
  const width = Math.floor(Math.min(videoWidth, videoHeight * aspect));
  const height = Math.floor(Math.min(videoHeight, videoWidth / aspect));
  if (width < 1 || height < 1) return null;
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const [left, top] = [(videoWidth - width) / 2, (videoHeight - height) / 2];
  canvas.getContext('2d')?.drawImage(video, left, top, width, height, 0, 0, width, height);
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.95));
  return blob && { uri: URL.createObjectURL(blob), width, height };
}
