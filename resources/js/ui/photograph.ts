const LONGEST = 1600;

/** A photograph no larger than it will be shown, so that a tablet on a weak connection can send it. */
export async function smaller(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return file;
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  if (scale === 1 && file.size < 1_000_000) return file;
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve) => canvas.toBlob((blob) => resolve(blob ?? file), 'image/jpeg', 0.85));
}
