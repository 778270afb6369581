import { createRequire } from 'node:module'
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pdfmake from 'pdfmake'
import sharp from 'sharp'
import { decompress } from 'wawoff2'
import type { Database } from '../database/connect.ts'

const require = createRequire(import.meta.url)
const FACES = {
  Archivo: { normal: '@fontsource/archivo/files/archivo-latin-400-normal.woff2', bold: '@fontsource/archivo/files/archivo-latin-600-normal.woff2' },
  Serif: { normal: '@fontsource/source-serif-4/files/source-serif-4-latin-400-normal.woff2', bold: '@fontsource/source-serif-4/files/source-serif-4-latin-600-normal.woff2' },
}

/** The fonts as files, which is what the maker of PDFs reads; unpacked once a process. */
let fonts: Promise<Record<string, Record<string, string>>> | undefined
async function unpacked(): Promise<Record<string, Record<string, string>>> {
  const folder = join(tmpdir(), `idolon-fonts-${process.pid}`)
  await mkdir(folder, { recursive: true, mode: 0o700 })
  const faces: Record<string, Record<string, string>> = {}
  for (const [name, styles] of Object.entries(FACES)) {
    faces[name] = {}
    for (const [style, path] of Object.entries(styles)) {
      const file = join(folder, `${name}-${style}.ttf`)
      await writeFile(`${file}.part`, await decompress(await readFile(require.resolve(path))))
      await rename(`${file}.part`, file)
      faces[name][style] = file
    }
    faces[name]['italics'] = faces[name]['normal']!
    faces[name]['bolditalics'] = faces[name]['bold']!
  }
  return faces
}

/** A document of A4 pages in the application's faces, with page numbers at the foot. Nothing but our own fonts is read from the disk, and nothing from elsewhere. */
export async function pdfOf({ title, content, landscape = false, numbered = true }: { title: string; content: unknown[]; landscape?: boolean; numbered?: boolean }): Promise<Buffer> {
  pdfmake.setFonts(await (fonts ??= unpacked()))
  pdfmake.setUrlAccessPolicy(() => false)
  pdfmake.setLocalAccessPolicy((path) => path.startsWith(join(tmpdir(), 'idolon-fonts-')))
  const document = pdfmake.createPdf({
    pageSize: 'A4',
    pageOrientation: landscape ? 'landscape' : 'portrait',
    pageMargins: [40, 44, 40, 44],
    defaultStyle: { font: 'Archivo', fontSize: 9, lineHeight: 1.15 },
    info: { title },
    content,
    footer: (page: number, pages: number) => (numbered ? { text: `${page} of ${pages}`, alignment: 'center', fontSize: 8 } : ''),
  })
  return document.getBuffer()
}

/** A stored picture as a JPEG that fits a square of `pixels`; undefined for one that is gone. */
export async function jpegOf(db: Database, sha256: string, pixels: number): Promise<Buffer | undefined> {
  const row = await db('pictures').where({ sha256 }).first<{ bytes: Buffer } | undefined>('bytes')
  return row && sharp(row.bytes).rotate().resize(pixels, pixels, { fit: 'inside', withoutEnlargement: true }).jpeg({ quality: 88 }).toBuffer()
}
export const dataUrl = (jpeg: Buffer): string => `data:image/jpeg;base64,${jpeg.toString('base64')}`
