import { clockOf } from '@idolon/core'
import sharp from 'sharp'
import type { Database } from '../../database/connect.ts'
import { dataUrl, jpegOf, pdfOf } from '../../documents/pdf.ts'
import type { OutScene, OutSeries } from './delivered.ts'

/** Told after each scene, so that the page can show how far it is. */
export type Step = (done: number, of: number) => Promise<void>

async function pictureOf(db: Database, { proof }: OutScene, pixels: number): Promise<string | undefined> {
  const jpeg = proof?.picture ? await jpegOf(db, proof.picture.sha256, pixels) : undefined
  return jpeg && dataUrl(jpeg)
}
const facts = ({ cast, place, body }: OutScene) => [cast.join(', '), place, body.moment].filter(Boolean).join('; ')

/** The shot list on pages across, a scene a row with its picture. */
export async function shotsPdf(db: Database, { name, scenes }: OutSeries, step: Step): Promise<Buffer> {
  let at = 0
  const rows: unknown[][] = []
  for (const [i, scene] of scenes.entries()) {
    const image = await pictureOf(db, scene, 480)
    const { body } = scene
    rows.push([
      { text: String(scene.number), bold: true },
      image ? { image, fit: [130, 90] } : { text: 'no picture chosen', fontSize: 8 },
      { stack: [{ text: body.beat || 'A scene without words', font: 'Serif', bold: true, fontSize: 10.5 }, { text: facts(scene), margin: [0, 2, 0, 0] }] },
      body.framing,
      { stack: [body.motion.camera, ...(body.motion.subject ? [{ text: body.motion.subject, margin: [0, 2, 0, 0] }] : [])] },
      `${body.motion.seconds} s\nfrom ${clockOf(at)}`,
      { stack: [...(body.caption ? [{ text: body.caption, font: 'Serif' }] : []), ...(body.sound ? [{ text: body.sound, margin: [0, 2, 0, 0] }] : [])] },
    ])
    at += body.motion.seconds
    await step(i + 1, scenes.length)
  }
  const head = ['', 'Picture', 'What happens', 'Framing', 'Movement', 'Time', 'Caption and sound'].map((text) => ({ text, fontSize: 8 }))
  return pdfOf({
    title: `${name}, shot list`,
    landscape: true,
    content: [
      { text: `${name}, shot list`, font: 'Serif', bold: true, fontSize: 18, margin: [0, 0, 0, 3] },
      { text: `${scenes.length} scenes, ${clockOf(at)}`, margin: [0, 0, 0, 10] },
      { layout: 'lightHorizontalLines', table: { headerRows: 1, dontBreakRows: true, widths: [16, 132, '*', 80, 90, 50, 150], body: [head, ...rows] } },
    ],
  })
}

/** The printed book of prompts: a title page, and a page for each scene with its picture, what happens, and the words that make it. */
export async function bookPdf(db: Database, { name, style, scenes }: OutSeries, step: Step): Promise<Buffer> {
  const content: unknown[] = [
    { text: name, font: 'Serif', bold: true, fontSize: 34, alignment: 'center', margin: [0, 220, 0, 14] },
    { text: `The prompts of ${scenes.length} scenes`, font: 'Serif', fontSize: 13, alignment: 'center' },
    ...(style ? [{ text: style, font: 'Serif', fontSize: 11, alignment: 'center', margin: [60, 10, 60, 0] }] : []),
  ]
  for (const [i, scene] of scenes.entries()) {
    const image = await pictureOf(db, scene, 1_400)
    const { body, proof } = scene
    const settings = proof ? Object.entries(proof.output.settings).filter(([key]) => key === 'aspectRatio' || key === 'steps' || key === 'guidance').map(([key, value]) => `${key === 'aspectRatio' ? 'aspect ratio' : key} ${String(value)}`) : []
    content.push(
      { text: [{ text: `${scene.number}  ` }, { text: body.beat || 'A scene without words', bold: true }], font: 'Serif', fontSize: 17, pageBreak: 'before', margin: [0, 0, 0, 8] },
      image ? { image, fit: [515, 380], alignment: 'center', margin: [0, 0, 0, 8] } : { text: 'No picture is chosen yet.', margin: [0, 0, 0, 8] },
      ...(body.caption ? [{ text: body.caption, font: 'Serif', fontSize: 13, alignment: 'center', margin: [0, 0, 0, 10] }] : []),
      { text: scene.text || 'It has no words yet.', font: 'Serif', fontSize: 12, lineHeight: 1.3, margin: [0, 0, 0, 8] },
      ...(scene.leaveOut.length ? [{ text: [{ text: 'Left out: ', bold: true }, scene.leaveOut.join(', ')], margin: [0, 0, 0, 4] }] : []),
      { text: [{ text: 'Who, where, when: ', bold: true }, facts(scene) || 'not said'], margin: [0, 0, 0, 4] },
      ...(proof ? [{ text: [{ text: 'Made by ', bold: true }, [`${proof.engine.name} ${proof.engine.revision}${proof.engine.simulated ? ' (simulated)' : ''}`, ...settings, ...(proof.seed === null ? [] : [`seed ${proof.seed}`])].join(', ')] }] : []),
    )
    await step(i + 1, scenes.length)
  }
  return pdfOf({ title: name, content })
}

const CONTACT_COLUMNS = 3
/** All chosen pictures on one sheet, numbered. */
export async function contactPdf(db: Database, { name, scenes }: OutSeries, step: Step): Promise<Buffer> {
  const cells: unknown[] = []
  for (const [i, scene] of scenes.entries()) {
    const image = await pictureOf(db, scene, 640)
    cells.push({ stack: [image ? { image, fit: [160, 130] } : { text: 'no picture chosen', fontSize: 8, margin: [0, 40, 0, 40] }, { text: [{ text: `${scene.number}  `, bold: true }, scene.body.beat], fontSize: 8, margin: [0, 3, 0, 10] }] })
    await step(i + 1, scenes.length)
  }
  const rows = Array.from({ length: Math.ceil(cells.length / CONTACT_COLUMNS) }, (_, r) => Array.from({ length: CONTACT_COLUMNS }, (__, c) => cells[r * CONTACT_COLUMNS + c] ?? ''))
  return pdfOf({ title: `${name}, contact sheet`, content: [{ text: name, font: 'Serif', bold: true, fontSize: 18, margin: [0, 0, 0, 12] }, ...(rows.length ? [{ layout: 'noBorders', table: { widths: ['33%', '33%', '34%'], dontBreakRows: true, body: rows } }] : [])] })
}

const TILE = { width: 420, height: 280, gap: 16, label: 30 }
/** The same as one picture; numbers are drawn, titles are the file list's. */
export async function contactPng(db: Database, { scenes }: OutSeries, step: Step): Promise<Buffer> {
  const columns = Math.min(6, Math.max(3, Math.ceil(Math.sqrt(scenes.length))))
  const rows = Math.max(1, Math.ceil(scenes.length / columns))
  const [width, height] = [columns * (TILE.width + TILE.gap) + TILE.gap, rows * (TILE.height + TILE.label + TILE.gap) + TILE.gap]
  const layers: { input: Buffer; left: number; top: number }[] = []
  for (const [i, scene] of scenes.entries()) {
    const [left, top] = [TILE.gap + (i % columns) * (TILE.width + TILE.gap), TILE.gap + Math.floor(i / columns) * (TILE.height + TILE.label + TILE.gap)]
    const row = scene.proof?.picture && (await db('pictures').where({ sha256: scene.proof.picture.sha256 }).first<{ bytes: Buffer } | undefined>('bytes'))
    if (row) layers.push({ input: await sharp(row.bytes).rotate().resize(TILE.width, TILE.height, { fit: 'contain', background: '#f1f4f4' }).png().toBuffer(), left, top })
    layers.push({ input: Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="${TILE.width}" height="${TILE.label}"><text x="0" y="21" font-family="sans-serif" font-size="18" fill="#15181c">${scene.number}</text></svg>`), left, top: top + TILE.height })
    await step(i + 1, scenes.length)
  }
  return sharp({ create: { width, height, channels: 3, background: '#f1f4f4' }, limitInputPixels: false }).composite(layers).png().toBuffer()
}
