import { FORMATS } from '@/core/formats/formats';
import { loses } from '@/core/formats/library-file';

/** The formats to choose from, each with what it can't hold. */
export const FORMAT_CHOICES = FORMATS.map((format) => ({
  id: format.id,
  title: format.title,
  extension: format.extension,
  loses: loses(format),
}));

export function downloadLibrary(libraryId: string, format: string): void {
  const link = document.createElement('a');
  link.href = `/api/libraries/${libraryId}/file?format=${format}`;
  link.download = '';
  link.click();
}
