import { provenanceXmp, sceneFile, statementOf } from '@idolon/core'
import sharp from 'sharp'
import { zipSync } from 'fflate'
import type { Database } from '../../database/connect.ts'
import { type OutSeries, provenanceOf } from './delivered.ts'
import type { Step } from './documents.ts'
import { withXmp } from './png-xmp.ts'

export const RATIO = /^(\d{1,2}):(\d{1,2})$/
const shared = (a: number, b: number): number => (b ? shared(b, a % b) : a)

/**
 * The chosen pictures as files named by scene, each as it came and in each ratio asked for (the part where most is to be
 * seen), with where it comes from written into it as XMP; and the same in words beside them.
 */
export async function picturesZip(db: Database, series: OutSeries, ratios: readonly string[], step: Step): Promise<Buffer> {
  const files: Record<string, [Uint8Array, { level: 0 }]> = {}
  const said: string[] = [series.name, '', 'Where these pictures come from. The same is written into each file (XMP: IPTC digital source type, prompt, system, date).', '']
  for (const [i, scene] of series.scenes.entries()) {
    const { proof } = scene
    const row = proof?.picture && (await db('pictures').where({ sha256: proof.picture.sha256 }).first<{ bytes: Buffer } | undefined>('bytes'))
    if (proof && row) {
      const made = provenanceOf(scene, proof, series.name)
      const isPng = row.bytes.toString('latin1', 1, 4) === 'PNG'
      // A PNG goes out as it came; anything else is made one.
      const { data, info } = isPng ? { data: row.bytes, info: await sharp(row.bytes).metadata() } : await sharp(row.bytes).rotate().png().toBuffer({ resolveWithObject: true })
      const { width, height } = info
      const put = (name: string, png: Buffer) => (files[name] = [withXmp(png, provenanceXmp(made)), { level: 0 }])
      put(scene.file, data)
      said.push(`${scene.file}: ${statementOf(made)}`)
      for (const ratio of ratios) {
        const [, across = '1', down = '1'] = RATIO.exec(ratio)!
        const wanted = Number(across) / Number(down)
        const divisor = shared(Number(across), Number(down))
        const [w, h] = wanted > width / height ? [width, Math.round(width / wanted)] : [Math.round(height * wanted), height]
        const name = sceneFile(scene.number, series.scenes.length, scene.body.beat, `-${Number(across) / divisor}x${Number(down) / divisor}.png`)
        put(name, await sharp(data).resize(w, h, { fit: 'cover', position: sharp.strategy.attention }).png().toBuffer())
        said.push(`${name}: cut to ${ratio} from the one above.`)
      }
    }
    await step(i + 1, series.scenes.length)
  }
  files['where-they-come-from.txt'] = [new TextEncoder().encode(`${said.join('\n')}\n`), { level: 0 }]
  return Buffer.from(zipSync(files))
}
