declare module 'quantize' {
  type Pixel = [number, number, number];
  export default function quantize(
    pixels: Pixel[],
    colours: number,
  ): { palette(): Pixel[] } | false;
}
