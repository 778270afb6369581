import type { Raster, WordSeen } from '@idolon/core/look'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import sharp from 'sharp'
import { createWorker, OEM, PSM, type Worker, type WorkerParams } from 'tesseract.js'

const require = createRequire(import.meta.url)
let reader: Promise<Worker> | undefined

const started = (): Promise<Worker> =>
  (reader ??= (async () => {
    const langPath = join(dirname(require.resolve('@tesseract.js-data/eng/package.json')), '4.0.0_best_int')
    const worker = await createWorker('eng', OEM.LSTM_ONLY, { langPath, gzip: true, cacheMethod: 'none' })
    await worker.setParameters({ user_defined_dpi: '150', debug_file: '/dev/null' } as Partial<WorkerParams>)
    return worker
  })())

async function wordsOf(worker: Worker, png: Buffer, layout: PSM, { width, height }: Raster): Promise<WordSeen[]> {
  await worker.setParameters({ tessedit_pageseg_mode: layout })
  const { data } = await worker.recognize(png, {}, { blocks: true, text: false })
  return (data.blocks ?? [])
    .flatMap(({ paragraphs }) => paragraphs.flatMap(({ lines }) => lines.flatMap(({ words }) => words)))
    .map(({ text, confidence, bbox }) => ({ text, confidence: confidence / 100, box: [bbox.x0 / width, bbox.y0 / height, bbox.x1 / width, bbox.y1 / height] }))
}

/** A word as sure as this settles that there is lettering. */
const SETTLES = 0.85

/** Words that can be read in a picture, with how sure the reader is of each. One picture at a time: others wait. */
let last: Promise<unknown> = Promise.resolve()
export function lettering(raster: Raster): Promise<WordSeen[]> {
  const mine = last.then(() => read(raster))
  last = mine.catch(() => undefined)
  return mine
}

async function read(raster: Raster): Promise<WordSeen[]> {
  const worker = await started()
  const { width, height, rgb } = raster
  const png = await sharp(rgb, { raw: { width, height, channels: 3 } }).png({ compressionLevel: 1 }).toBuffer()
  // Lettering stands anywhere in a picture; the large letters of a sign are only found where a page of text is looked for.
  const anywhere = await wordsOf(worker, png, PSM.SPARSE_TEXT, raster)
  if (anywhere.some(({ text, confidence }) => confidence >= SETTLES && /\p{L}{3}/u.test(text))) return anywhere
  return [...anywhere, ...(await wordsOf(worker, png, PSM.AUTO, raster))]
}

/** Ends the reader's own process, so that the command line can end. */
export async function stopReading(): Promise<void> {
  const worker = await reader
  reader = undefined
  await worker?.terminate()
}
