/** Bands of a spectrum: 380 to 730 nm in steps of 10 nm. */
export const BAND_COUNT = 36;
export const FIRST_WAVELENGTH = 380;
export const BAND_WIDTH = 10;

/** A quantity for each of the 36 bands. */
export type Spectrum = Float64Array;

/** The wavelength in nm at the middle of each band. */
export const WAVELENGTHS: readonly number[] = Array.from(
  { length: BAND_COUNT },
  (_, band) => FIRST_WAVELENGTH + band * BAND_WIDTH,
);

/** A spectrum from what each wavelength (nm) has. */
export function spectrumOf(at: (wavelength: number, band: number) => number): Spectrum {
  return Float64Array.from(WAVELENGTHS, at);
}
