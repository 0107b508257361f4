import { fileNameFrom } from '@/core/file-name';

/** Hands a file to the person, as a download. */
export function keepFile(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  // The browser has begun to read by then.
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** "Ticket hall, 4 values.png": without what file systems refuse. */
export function fileName(title: string, about: string, ending: string): string {
  return fileNameFrom(title, `, ${about}.${ending}`, 'study');
}

/** Lets the browser fetch a file of ours and keep it, under the name that the answer gives. */
export function download(path: string): void {
  const link = document.createElement('a');
  link.href = path;
  link.download = '';
  link.click();
}
