import type { ClientSheet } from '@idolon/contract'
import { captionOf, shownText, type VersionBody } from '@idolon/core'
import type { Database } from '../database/connect.ts'
import { dataUrl, jpegOf, pdfOf } from '../documents/pdf.ts'
import { proofsById } from '../proofs/proof-rows.ts'

/** Two pictures stand side by side on a page of A4. */
const COLUMNS = 2
const COLUMN_POINTS = 250
const PIXELS = 1_000

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
    const image = proof?.picture && (await jpegOf(db, proof.picture.sha256, PIXELS))
    cells.push({
      unbreakable: true,
      stack: [
        image ? { image: dataUrl(image), fit: [COLUMN_POINTS, COLUMN_POINTS] } : { text: 'This picture is no longer there.', italics: false },
        { text: [{ text: `${i + 1}  `, bold: true }, proof ? captionOf(proof, sheet.captions) : ''], margin: [0, 4, 0, 2] },
        ...(sheet.prompts && proof ? [{ text: await writtenFor(db, proof.versionId), font: 'Serif', fontSize: 8.5, margin: [0, 0, 8, 2] }] : []),
      ],
      margin: [0, 0, 0, 14],
    })
  }
  const rows = Array.from({ length: Math.ceil(cells.length / COLUMNS) }, (_, r) => Array.from({ length: COLUMNS }, (__, c) => cells[r * COLUMNS + c] ?? ''))
  return pdfOf({
    title: sheet.title,
    content: [
      { text: sheet.title, font: 'Serif', bold: true, fontSize: 18, margin: [0, 0, 0, 12] },
      { layout: 'noBorders', table: { widths: ['50%', '50%'], dontBreakRows: true, body: rows } },
    ],
  })
}
