import { type ClientSheet, listVersions, type SheetProof } from '@idolon/contract'
import { captionOf, shownText } from '@idolon/core'
import { zip } from 'fflate'
import { call } from '../api/call.ts'
import { SaidError } from '../api/problem.ts'
import { fileName } from '../shared/download.ts'

const COLUMNS = 3
const CELL = 520
const GAP = 28
const MARGIN = 48
const LINE = 24
/** Canvases beyond it are refused by browsers. */
const MOST_PIXELS = 120_000_000

/** What the writer wrote, of each version of the prompts on a sheet: not how an engine was given it. */
async function textsOf(proofs: readonly SheetProof[]): Promise<(proof: SheetProof) => string> {
  const texts = new Map<string, string>()
  for (const prompt of new Set(proofs.map(({ promptId }) => promptId))) {
    for (const { number, body } of await call(listVersions, { params: { prompt } })) texts.set(`${prompt} ${number}`, shownText(body))
  }
  return ({ promptId, version }) => texts.get(`${promptId} ${version}`) ?? ''
}

/** So many letters are surely narrower than a cell: a longer word is broken. */
const LONGEST_WORD = 40

/** A text in lines that are no wider than a cell. */
function linesOf(context: CanvasRenderingContext2D, text: string, most: number): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of text.split(/\s+/).flatMap((whole) => whole.match(new RegExp(`.{1,${LONGEST_WORD}}`, 'gu')) ?? [])) {
    const next = line ? `${line} ${word}` : word
    if (line && context.measureText(next).width > CELL) {
      lines.push(line)
      line = word
    } else line = next
  }
  if (line) lines.push(line)
  return lines.length > most ? [...lines.slice(0, most - 1), `${lines[most - 1]!.slice(0, 50)} …`] : lines
}

async function bitmapOf(proof: SheetProof): Promise<ImageBitmap> {
  const response = await fetch(`/api/pictures/${proof.picture!.sha256}`)
  return createImageBitmap(await response.blob(), { resizeWidth: Math.min(CELL * 2, proof.picture!.width), resizeQuality: 'high' })
}

/** The sheet as one picture, in the page's own type: numbers and captions under the pictures. */
export async function sheetPng({ title, captions, prompts }: ClientSheet, proofs: readonly SheetProof[]): Promise<Blob> {
  const canvas = document.createElement('canvas')
  const context = canvas.getContext('2d')!
  const caption = '500 18px "Archivo Variable", sans-serif'
  const prose = '17px "Source Serif 4 Variable", serif'
  const textOf = prompts ? await textsOf(proofs) : () => ''
  const cells = proofs.map((proof, i) => {
    context.font = caption
    const lines = linesOf(context, `${i + 1}  ${captionOf(proof, captions)}`, 4)
    context.font = prose
    const text = linesOf(context, textOf(proof), 14)
    const { width, height } = proof.picture!
    const scale = Math.min(CELL / width, CELL / height)
    return { proof, lines, text, width: width * scale, height: height * scale, full: height * scale + 10 + (lines.length + text.length) * LINE }
  })
  const rows = Array.from({ length: Math.ceil(cells.length / COLUMNS) }, (_, r) => cells.slice(r * COLUMNS, (r + 1) * COLUMNS))
  const heights = rows.map((row) => Math.max(...row.map(({ full }) => full)) + GAP)
  canvas.width = 2 * MARGIN + COLUMNS * CELL + (COLUMNS - 1) * GAP
  canvas.height = 2 * MARGIN + 60 + heights.reduce((sum, height) => sum + height, 0)
  if (canvas.width * canvas.height > MOST_PIXELS) throw new SaidError('So many pictures make too large a PNG. Nothing is lost. Take the PDF.')
  context.fillStyle = '#ffffff'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.fillStyle = '#15181c'
  context.textBaseline = 'top'
  context.font = '600 34px "Source Serif 4 Variable", serif'
  context.fillText(title, MARGIN, MARGIN, canvas.width - 2 * MARGIN)
  let y = MARGIN + 60
  for (const [r, row] of rows.entries()) {
    for (const [c, cell] of row.entries()) {
      const x = MARGIN + c * (CELL + GAP)
      const bitmap = await bitmapOf(cell.proof)
      context.drawImage(bitmap, x, y, cell.width, cell.height)
      bitmap.close()
      context.font = caption
      cell.lines.forEach((line, l) => context.fillText(line, x, y + cell.height + 10 + l * LINE))
      context.font = prose
      cell.text.forEach((line, l) => context.fillText(line, x, y + cell.height + 10 + (cell.lines.length + l) * LINE))
    }
    y += heights[r]!
  }
  return new Promise((resolve, reject) => canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new SaidError('The PNG could not be made. Nothing is lost. Try again, or take the PDF.'))), 'image/png'))
}

/** The pictures themselves in one file, each named by what it is of and what made it. */
export async function keepersZip(proofs: readonly SheetProof[]): Promise<Blob> {
  const files: Record<string, Uint8Array> = {}
  for (const [i, proof] of proofs.entries()) {
    const response = await fetch(`/api/pictures/${proof.picture!.sha256}`)
    if (!response.ok) throw new SaidError(`Picture ${i + 1} could not be fetched. Nothing is lost. Try again.`)
    const ending = response.headers.get('content-type')?.includes('jpeg') ? 'jpg' : response.headers.get('content-type')?.includes('webp') ? 'webp' : 'png'
    const name = fileName(`${String(i + 1).padStart(3, '0')} ${proof.promptTitle.slice(0, 34)} v${proof.version} ${proof.engine.name} ${proof.seed ?? ''}`, ending)
    files[name] = new Uint8Array(await response.arrayBuffer())
  }
  // Pictures are packed already.
  const bytes = await new Promise<Uint8Array>((resolve, reject) => zip(files, { level: 0 }, (error, data) => (error ? reject(error) : resolve(data))))
  return new Blob([bytes as BlobPart], { type: 'application/zip' })
}
