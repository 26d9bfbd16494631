import type { IScannerControls } from '@zxing/browser';

/** Codes of labels, read by a library that is loaded when somebody scans. */

/** What the code on a picture says: QR, Data Matrix, Code 128, Code 39 and their like. Throws RangeError where none is found. */
export async function codeOnPicture(url: string): Promise<string> {
  const { BrowserMultiFormatReader } = await import('@zxing/browser');
  try {
    return (await new BrowserMultiFormatReader().decodeFromImageUrl(url)).getText().trim();
  } catch {
    throw new RangeError('No code was found on this picture: closer, straight, without glare. Or type the number.');
  }
}

/** Looks through the camera until a code is seen; what stops it comes back at once. Rejects where there is no camera, or nobody may use it. */
export async function watchForCode(video: HTMLVideoElement, seen: (text: string) => void): Promise<IScannerControls> {
  const { BrowserMultiFormatReader } = await import('@zxing/browser');
  return new BrowserMultiFormatReader().decodeFromConstraints(
    { video: { facingMode: 'environment' } },
    video,
    (result, _error, controls) => {
      if (!result) return;
      controls.stop();
      seen(result.getText().trim());
    },
  );
}

/** Whether a camera may be asked for here: browsers give one to secure addresses alone. */
export const cameraThere = (): boolean => typeof navigator !== 'undefined' && 'mediaDevices' in navigator;
