/**
 * Whether a file begins as the kinds of picture do that are read: JPEG, PNG, GIF, WebP, TIFF, AVIF. A vector
 * picture is a text.
 */
export function looksLikePicture(bytes: Uint8Array): boolean {
  const start = Buffer.from(bytes.subarray(0, 12)).toString('latin1');
  return (
    start.startsWith('\x89PNG\r\n') ||
    start.startsWith('\xff\xd8\xff') ||
    start.startsWith('GIF8') ||
    (start.startsWith('RIFF') && start.slice(8) === 'WEBP') ||
    start.startsWith('II*\0') ||
    start.startsWith('MM\0*') ||
    /^....ftyp(?:avi|mif|msf)/s.test(start)
  );
}
