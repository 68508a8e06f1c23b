import { strFromU8, unzipSync } from 'fflate';
import { FormatError } from '../errors.ts';
import { LARGEST_FILE } from './melody.ts';

const CONTAINER = 'META-INF/container.xml';
const SIGNATURE = [0x50, 0x4b, 0x03, 0x04];

/** Whether bytes begin like a ZIP archive. */
export function isZip(bytes: Uint8Array): boolean {
  return SIGNATURE.every((byte, index) => bytes[index] === byte);
}

function unpack(bytes: Uint8Array): Readonly<Record<string, Uint8Array>> {
  let total = 0;
  try {
    return unzipSync(bytes, {
      filter: ({ originalSize }) => {
        total += originalSize;
        if (total > LARGEST_FILE)
          throw new FormatError('TOO_LARGE', 'Unpacked, the file is larger than 10 MiB.', 'Export it uncompressed.', {
            context: 'unpacked',
          });
        return true;
      },
    });
  } catch (cause) {
    if (cause instanceof FormatError) throw cause;
    throw new FormatError('BROKEN_FILE', 'The compressed file is not whole.', 'Export it again, or uncompressed.', {
      context: 'compressed',
    });
  }
}

/**
 * The score inside a compressed MusicXML file. What would unpack to more than 10 MiB is refused before it is unpacked.
 *
 * @throws FormatError `BROKEN_FILE`, `TOO_LARGE`, `WRONG_KIND`
 */
export function unpackMusicXml(bytes: Uint8Array): string {
  const files = unpack(bytes);
  // An entry can bear any name, that of a built-in too.
  const entry = (name: string): Uint8Array | undefined => (Object.hasOwn(files, name) ? files[name] : undefined);
  const container = entry(CONTAINER);
  const named = container && /full-path="([^"]+)"/.exec(strFromU8(container))?.[1];
  const score =
    entry(named ?? '') ?? entry(Object.keys(files).find((name) => /^[^/]+\.(?:music)?xml$/.test(name)) ?? '');
  if (!score)
    throw new FormatError('WRONG_KIND', 'There is no score in the compressed file.', 'Choose a MusicXML file.', {
      context: 'compressed',
    });
  return strFromU8(score);
}
