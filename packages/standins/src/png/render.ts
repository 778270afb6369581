import { renderAsync } from '@resvg/resvg-js'
import { mkdtemp, readFile, writeFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { decompress } from 'wawoff2'
import type { Pixels } from '../finish/pixels.ts'

const FACES = ['@fontsource/archivo/files/archivo-latin-700-normal.woff2', '@fontsource/source-serif-4/files/source-serif-4-latin-600-normal.woff2', '@fontsource/caveat/files/caveat-latin-700-normal.woff2']
let fonts: Promise<string[]> | undefined

/** resvg reads TrueType files only, so the packaged web fonts are unpacked once a process. */
async function unpackFonts(): Promise<string[]> {
  const { resolve } = createRequire(import.meta.url)
  const folder = await mkdtemp(join(tmpdir(), 'idolon-faces-'))
  const files: string[] = []
  // One after another: the decompressor has one memory, and gives out a view of it.
  for (const [i, face] of FACES.entries()) {
    const file = join(folder, `${i}.ttf`)
    await writeFile(file, Buffer.from(await decompress(await readFile(resolve(face)))))
    files.push(file)
  }
  return files
}

/** The drawing as RGB. */
export async function rasterise(svg: string): Promise<Pixels> {
  fonts ??= unpackFonts()
  const { width, height, pixels } = await renderAsync(svg, { font: { loadSystemFonts: false, fontFiles: await fonts, defaultFontFamily: 'Archivo SemiBold' }, logLevel: 'off' })
  const data = new Uint8Array(width * height * 3)
  for (let i = 0, k = 0; k < data.length; i += 4, k += 3) {
    data[k] = pixels[i]!
    data[k + 1] = pixels[i + 1]!
    data[k + 2] = pixels[i + 2]!
  }
  return { width, height, data }
}

/** The picture as a PNG that carries `xmp`. */
export const encodePng = ({ width, height, data }: Pixels, xmp: string): Promise<Buffer> =>
  sharp(data, { raw: { width, height, channels: 3 } }).withXmp(xmp).png({ compressionLevel: 3 }).toBuffer()
