declare module 'fft.js' {
  /** A discrete Fourier transform of a fixed size (a power of two); complex numbers lie as real and imaginary parts in turn. */
  export default class FFT {
    constructor(size: number);
    createComplexArray(): number[];
    realTransform(out: number[], input: ArrayLike<number>): void;
    completeSpectrum(spectrum: number[]): void;
    inverseTransform(out: number[], spectrum: number[]): void;
  }
}
