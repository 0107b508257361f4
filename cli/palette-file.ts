import { LibraryFileError, readLibrary } from '../src/server/files/library-bytes';
import { ConvertError } from './convert';

/** The swatches of a library's file, of any format that is read. Throws a ConvertError where there are none. */
export async function swatchesIn(file: string, bytes: Uint8Array) {
  try {
    const { library } = await readLibrary(file, bytes, {});
    if (library.swatches.length === 0) throw new LibraryFileError('there are no colours in it');
    return library.swatches;
  } catch (error) {
    if (error instanceof LibraryFileError) throw new ConvertError(`${file}: ${error.message}`);
    throw error;
  }
}
