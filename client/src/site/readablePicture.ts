/** A kind of picture that browsers read and the core does not. */
const AVIF = 'image/avif';

/** How well photographs are kept, 0 to 1 (common practice, no source). */
const QUALITY = 0.92;

/** A picture as the core reads it: AVIF becomes WebP of the same size here, where the browser decodes it; any other file stays what it is. */
export async function readablePicture(file: File): Promise<File> {
  if (file.type !== AVIF && !/\.avif$/i.test(file.name)) return file;
  const picture = await createImageBitmap(file).catch(() => null);
  // What cannot be decoded is told of by the core.
  if (!picture) return file;
  const canvas = new OffscreenCanvas(picture.width, picture.height);
  canvas.getContext('2d')?.drawImage(picture, 0, 0);
  picture.close();
  const bytes = await canvas.convertToBlob({ type: 'image/webp', quality: QUALITY });
  return new File([bytes], file.name.replace(/\.avif$/i, '.webp'), { type: bytes.type });
}
