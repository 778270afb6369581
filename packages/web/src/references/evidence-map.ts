import type { Evidence } from './evidence.ts'

/** What is drawn over every pixel of a picture. */
export type EvidenceMap = Extract<Evidence, { kind: 'colours' | 'tones' | 'cells' | 'blocks' }>
const MAPS = new Set<Evidence['kind']>(['colours', 'tones', 'cells', 'blocks'])
export const isMap = (evidence: Evidence | undefined): evidence is EvidenceMap => evidence !== undefined && MAPS.has(evidence.kind)

/** Luma in sRGB below which a tone is dark, and above which it is light. */
const DARK = 76
const LIGHT = 150
/** What pixels that do not count fade into, by three parts in four. */
const PAPER = [241, 244, 244] as const

/** Paints a map into RGBA pixels, row by row: a colour where it is nearest, tones and cells as they are with the rest dimmed, blocks of grey. */
export function paintMap(data: Uint8ClampedArray, width: number, height: number, evidence: EvidenceMap): void {
  const pixels = width * height
  if (evidence.kind === 'colours') {
    const wanted = Uint8Array.from(evidence.hexes.flatMap((hex) => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16))))
    for (let i = 0; i < pixels * 4; i += 4) {
      let [best, least] = [0, Infinity]
      for (let k = 0; k < wanted.length; k += 3) {
        const off = (data[i]! - wanted[k]!) ** 2 + (data[i + 1]! - wanted[k + 1]!) ** 2 + (data[i + 2]! - wanted[k + 2]!) ** 2
        if (off < least) {
          least = off
          best = k
        }
      }
      if (wanted.length === 0) continue
      data[i] = wanted[best]!
      data[i + 1] = wanted[best + 1]!
      data[i + 2] = wanted[best + 2]!
    }
    return
  }
  if (evidence.kind === 'blocks') {
    const side = Math.max(1, Math.round(Math.sqrt(evidence.tones.length)))
    for (let p = 0; p < pixels; p++) {
      const tone = (255 * (evidence.tones[Math.floor((Math.floor(p / width) * side) / height) * side + Math.floor(((p % width) * side) / width)] ?? 0)) / 99
      data[p * 4] = tone
      data[p * 4 + 1] = tone
      data[p * 4 + 2] = tone
    }
    return
  }
  const rows = evidence.kind === 'cells' ? Math.max(1, Math.ceil(evidence.sharp.length / Math.max(1, evidence.columns))) : 1
  for (let p = 0; p < pixels; p++) {
    const i = p * 4
    let counts: boolean
    if (evidence.kind === 'tones') {
      const light = 0.2126 * data[i]! + 0.7152 * data[i + 1]! + 0.0722 * data[i + 2]!
      counts = (evidence.tones !== 'light' && light < DARK) || (evidence.tones !== 'dark' && light > LIGHT)
    } else counts = evidence.sharp[Math.floor((Math.floor(p / width) * rows) / height) * evidence.columns + Math.floor(((p % width) * evidence.columns) / width)] === true
    if (counts) continue
    for (let c = 0; c < 3; c++) data[i + c] = (data[i + c]! + 3 * PAPER[c]!) / 4
  }
}
