/** Pictures as they come from a file or a camera, made small before they are sent. */

export interface SmallPicture {
  readonly name: string;
  /** JPEG as a data URL. */
  readonly url: string;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Reads a picture with the browser's own means, no larger than wanted. Throws RangeError on what is no picture. */
export async function smallPicture(file: File, mostPx: number): Promise<SmallPicture> {
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) throw new RangeError('This is no picture that can be read: PNG, JPEG or WebP.');
  const k = Math.min(1, mostPx / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.round(bitmap.width * k), Math.round(bitmap.height * k)];
  const pen = canvas.getContext('2d');
  if (!pen) throw new RangeError('This browser draws no pictures.');
  // What is see-through stays paper, not black.
  pen.fillStyle = '#ffffff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return {
    name: file.name,
    url: canvas.toDataURL('image/jpeg', 0.82),
    widthPx: canvas.width,
    heightPx: canvas.height,
  };
}

/** The bytes of a small picture as the API takes them. */
export const base64Of = ({ url }: SmallPicture): string => url.slice(url.indexOf(',') + 1);
