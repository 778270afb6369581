/** OKLab (B. Ottosson, “A perceptual color space for image processing”, 2020): lightness 0 to 1, and two axes of colour. */
export type Lab = readonly [l: number, a: number, b: number]

const LINEAR = Float64Array.from({ length: 256 }, (_, i) => {
  const s = i / 255
  return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4
})

/** Of a colour in sRGB, each channel 0 to 255, put at `at` in three planes. */
export function putOklab(red: number, green: number, blue: number, at: number, l: Float32Array, a: Float32Array, b: Float32Array): void {
  const [r, g, c] = [LINEAR[red]!, LINEAR[green]!, LINEAR[blue]!]
  const long = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * c)
  const middle = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * c)
  const short = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * c)
  l[at] = 0.2104542553 * long + 0.793617785 * middle - 0.0040720468 * short
  a[at] = 1.9779984951 * long - 2.428592205 * middle + 0.4505937099 * short
  b[at] = 0.0259040371 * long + 0.7827717662 * middle - 0.808675766 * short
}

export function oklabOf(red: number, green: number, blue: number): Lab {
  const [l, a, b] = [new Float32Array(1), new Float32Array(1), new Float32Array(1)]
  putOklab(red, green, blue, 0, l, a, b)
  return [l[0]!, a[0]!, b[0]!]
}

/** As `#rrggbb`; what lies outside sRGB is clipped channel by channel. */
export function hexOf([l, a, b]: Lab): string {
  const long = (l + 0.3963377774 * a + 0.2158037573 * b) ** 3
  const middle = (l - 0.1055613458 * a - 0.0638541728 * b) ** 3
  const short = (l - 0.0894841775 * a - 1.291485548 * b) ** 3
  const channels = [4.0767416621 * long - 3.3077115913 * middle + 0.2309699292 * short, -1.2684380046 * long + 2.6097574011 * middle - 0.3413193965 * short, -0.0041960863 * long - 0.7034186147 * middle + 1.707614701 * short]
  const said = channels.map((linear) => {
    const s = linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055
    return Math.round(255 * Math.min(1, Math.max(0, s))).toString(16).padStart(2, '0')
  })
  return `#${said.join('')}`
}

/** Chroma, and hue in degrees from 0 to 360. */
export const chromaOf = ([, a, b]: Lab): number => Math.hypot(a, b)
export const hueOf = ([, a, b]: Lab): number => ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360

export const labOf = (hex: string): Lab => oklabOf(...([1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16)) as [number, number, number]))

/** How warm a colour is, along the axis from orange to blue: greens and purples lie across it. */
const WARM = (50 * Math.PI) / 180
export const warmthOf = (a: number, b: number): number => a * Math.cos(WARM) + b * Math.sin(WARM)
