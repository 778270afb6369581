/** Pixels in sRGB, row by row, three bytes each; what was transparent has been laid on white. Every measure runs on a proxy whose long edge is at most `PROXY_EDGE`. */
export interface Raster {
  width: number
  height: number
  rgb: Uint8Array
}

export const PROXY_EDGE = 1024
