import { unfit } from './problem';

export interface Picture {
  readonly type: 'image/png' | 'image/jpeg';
  readonly bytes: Buffer;
}

const startsWith = (bytes: Buffer, ...start: readonly number[]) => start.every((b, i) => bytes[i] === b);

/** A picture by its first bytes, whatever its name says. */
export function pictureOf(base64: string): Picture {
  const bytes = Buffer.from(base64, 'base64');
  if (startsWith(bytes, 0x89, 0x50, 0x4e, 0x47)) return { type: 'image/png', bytes };
  if (startsWith(bytes, 0xff, 0xd8, 0xff)) return { type: 'image/jpeg', bytes };
  throw unfit([{ pointer: '/base64', detail: 'must be a PNG or a JPEG file, told by its first bytes' }], 'The picture');
}
