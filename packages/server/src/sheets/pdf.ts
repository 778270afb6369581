import type { ClientSheet } from '@idolon/contract'
import { captionOf, shownText, type VersionBody } from '@idolon/core'
import { createRequire } from 'node:module'
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pdfmake from 'pdfmake'
import sharp from 'sharp'
import { decompress } from 'wawoff2'
import type { Database } from '../database/connect.ts'
import { proofsById } from '../proofs/proof-rows.ts'

const require = createRequire(import.meta.url)
const FACES = {
  Archivo: { normal: '@fontsource/archivo/files/archivo-latin-400-normal.woff2', bold: '@fontsource/archivo/files/archivo-latin-600-normal.woff2' },
  Serif: { normal: '@fontsource/source-serif-4/files/source-serif-4-latin-400-normal.woff2', bold: '@fontsource/source-serif-4/files/source-serif-4-latin-600-normal.woff2' },
}
/** Two pictures stand side by side on a page of A4. */
const COLUMNS = 2
const COLUMN_POINTS = 250
const PIXELS = 1_000

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

/** What the writer wrote, not how an engine was given it. */
async function writtenFor(db: Database, versionId: string): Promise<string> {
  const { body } = await db('versions').where({ id: versionId }).first<{ body: VersionBody }>('body')
  return shownText(body)
}

/** The sheet on pages of A4, its pictures numbered in their order. A picture that is gone leaves its number. */
export async function sheetPdf(db: Database, sheet: ClientSheet): Promise<Buffer> {
  const proofs = await proofsById(db, sheet.proofs)
  const cells: unknown[] = []
  for (const [i, id] of sheet.proofs.entries()) {
    const proof = proofs.get(id)
    const row = proof?.picture && (await db('pictures').where({ sha256: proof.picture.sha256 }).first<{ bytes: Buffer } | undefined>('bytes'))
    const image = row && (await sharp(row.bytes).rotate().resize(PIXELS, PIXELS, { fit: 'inside', withoutEnlargement: true }).jpeg({ quality: 88 }).toBuffer())
    cells.push({
      unbreakable: true,
      stack: [
        image ? { image: `data:image/jpeg;base64,${image.toString('base64')}`, fit: [COLUMN_POINTS, COLUMN_POINTS] } : { text: 'This picture is no longer there.', italics: false },
        { text: [{ text: `${i + 1}  `, bold: true }, proof ? captionOf(proof, sheet.captions) : ''], margin: [0, 4, 0, 2] },
        ...(sheet.prompts && proof ? [{ text: await writtenFor(db, proof.versionId), font: 'Serif', fontSize: 8.5, margin: [0, 0, 8, 2] }] : []),
      ],
      margin: [0, 0, 0, 14],
    })
  }
  const rows = Array.from({ length: Math.ceil(cells.length / COLUMNS) }, (_, r) => Array.from({ length: COLUMNS }, (__, c) => cells[r * COLUMNS + c] ?? ''))
  pdfmake.setFonts(await (fonts ??= unpacked()))
  pdfmake.setUrlAccessPolicy(() => false)
  // The fonts are files of our own; nothing else is read.
  pdfmake.setLocalAccessPolicy((path) => path.startsWith(join(tmpdir(), 'idolon-fonts-')))
  const document = pdfmake.createPdf({
    pageSize: 'A4',
    pageMargins: [40, 44, 40, 44],
    defaultStyle: { font: 'Archivo', fontSize: 9, lineHeight: 1.15 },
    info: { title: sheet.title },
    content: [
      { text: sheet.title, font: 'Serif', bold: true, fontSize: 18, margin: [0, 0, 0, 12] },
      { layout: 'noBorders', table: { widths: ['50%', '50%'], dontBreakRows: true, body: rows } },
    ],
    footer: (page: number, pages: number) => ({ text: `${page} of ${pages}`, alignment: 'center', fontSize: 8 }),
  })
  return document.getBuffer()
}
