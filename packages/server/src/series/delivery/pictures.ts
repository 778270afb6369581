import type { Proof } from '@idolon/contract'
import { type Provenance, provenanceXmp, sceneFile, statementOf } from '@idolon/core'
import sharp from 'sharp'
import { zipSync } from 'fflate'
import type { Database } from '../../database/connect.ts'
import { proofsById } from '../../proofs/proof-rows.ts'
import { type OutSeries, provenanceOf } from './delivered.ts'
import type { Step } from './documents.ts'
import { withXmp } from './png-xmp.ts'

export const RATIO = /^(\d{1,2}):(\d{1,2})$/
const shared = (a: number, b: number): number => (b ? shared(b, a % b) : a)

/** How far a picture's shape may be from a ratio and still be of it, as a share. */
const NEARLY = 0.03

/** The picture of a scene that an engine made in a ratio: of the chosen proof's version rather than another, a keeper rather than not, the newest first. */
async function madeIn(db: Database, proof: Proof, wanted: number): Promise<{ proof: Proof; bytes: Buffer } | undefined> {
  const { rows } = await db.raw<{ rows: { id: string; bytes: Buffer }[] }>(
    `select p.id, k.bytes from proofs p join pictures k on k.sha256 = p.picture where p.prompt_id = ? and p.state = 'stored' and p.deleted_at is null and p.verdict is distinct from 'drop'
       and abs(k.width::float / k.height / ? - 1) < ? order by (p.version_id = ?) desc, (p.verdict is not distinct from 'keep') desc, p.stored_at desc limit 1`,
    [proof.promptId, wanted, NEARLY, proof.versionId],
  )
  const [row] = rows
  return row && { proof: (await proofsById(db, [row.id])).get(row.id)!, bytes: row.bytes }
}

/** A PNG goes out as it came; anything else is made one. */
async function asPng(bytes: Buffer): Promise<{ data: Buffer; width: number; height: number }> {
  if (bytes.toString('latin1', 1, 4) === 'PNG') {
    const { width, height } = await sharp(bytes).metadata()
    return { data: bytes, width, height }
  }
  const { data, info } = await sharp(bytes).rotate().png().toBuffer({ resolveWithObject: true })
  return { data, width: info.width, height: info.height }
}

/**
 * The chosen pictures as files named by scene, each as it came and in each ratio asked for: as an engine made it in that
 * ratio, or else the part of the chosen one where most is to be seen. Where each comes from is written into it as XMP, and
 * the same in words beside them.
 */
export async function picturesZip(db: Database, series: OutSeries, ratios: readonly string[], step: Step): Promise<Buffer> {
  const files: Record<string, [Uint8Array, { level: 0 }]> = {}
  const said: string[] = [series.name, '', 'Where these pictures come from. The same is written into each file (XMP: IPTC digital source type, prompt, system, date).', '']
  const put = (name: string, png: Buffer, made: Provenance, how: string) => {
    files[name] = [withXmp(png, provenanceXmp(made)), { level: 0 }]
    said.push(`${name}: ${how}`)
  }
  for (const [i, scene] of series.scenes.entries()) {
    const { proof } = scene
    const row = proof?.picture && (await db('pictures').where({ sha256: proof.picture.sha256 }).first<{ bytes: Buffer } | undefined>('bytes'))
    if (proof && row) {
      const made = provenanceOf(scene, proof, series.name)
      const { data, width, height } = await asPng(row.bytes)
      put(scene.file, data, made, statementOf(made))
      for (const ratio of ratios) {
        const [, across = '1', down = '1'] = RATIO.exec(ratio)!
        const wanted = Number(across) / Number(down)
        const divisor = shared(Number(across), Number(down))
        const name = sceneFile(scene.number, series.scenes.length, scene.body.beat, `-${Number(across) / divisor}x${Number(down) / divisor}.png`)
        const own = await madeIn(db, proof, wanted)
        if (own) {
          const from = provenanceOf(scene, own.proof, series.name)
          put(name, (await asPng(own.bytes)).data, from, statementOf(from))
        } else {
          const [w, h] = wanted > width / height ? [width, Math.round(width / wanted)] : [Math.round(height * wanted), height]
          put(name, await sharp(data).resize(w, h, { fit: 'cover', position: sharp.strategy.attention }).png().toBuffer(), made, `cut to ${ratio} from ${scene.file}.`)
        }
      }
    }
    await step(i + 1, series.scenes.length)
  }
  files['where-they-come-from.txt'] = [new TextEncoder().encode(`${said.join('\n')}\n`), { level: 0 }]
  return Buffer.from(zipSync(files))
}
