import { renderAsync } from '@resvg/resvg-js'
import { mkdtemp, readFile, writeFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { decompress } from 'wawoff2'

const FACES = ['@fontsource/archivo/files/archivo-latin-700-normal.woff2']
let fonts: Promise<string[]> | undefined

/** resvg reads TrueType files only, so the packaged web fonts are unpacked once a process. */
async function unpackFonts(): Promise<string[]> {
  const { resolve } = createRequire(import.meta.url)
  const folder = await mkdtemp(join(tmpdir(), 'idolon-faces-'))
  return Promise.all(
    FACES.map(async (face, i) => {
      const file = join(folder, `${i}.ttf`)
      await writeFile(file, await decompress(await readFile(resolve(face))))
      return file
    }),
  )
}

/** The drawing as a PNG that carries `xmp`. */
export async function renderPng(svg: string, xmp: string): Promise<Buffer> {
  fonts ??= unpackFonts()
  const image = await renderAsync(svg, { font: { loadSystemFonts: false, fontFiles: await fonts, defaultFontFamily: 'Archivo' }, logLevel: 'off' })
  const raw = { width: image.width, height: image.height, channels: 4 } as const
  return sharp(image.pixels, { raw }).removeAlpha().withXmp(xmp).png({ compressionLevel: 6 }).toBuffer()
}
