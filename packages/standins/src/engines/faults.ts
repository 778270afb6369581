import { hashText, seededRandom } from '@idolon/core'
import { figureOf } from '../draw/figures/index.ts'
import type { Scene } from '../scene/scene.ts'
import type { Cause, Traits } from './traits.ts'

const OLD = /\b(?:medieval|mediaeval|victorian|roman|ancient|renaissance|tudor|georgian|edwardian|baroque|viking|knight|castle|18\d0s|17\d0s|19[0-3]0s|eighteenth|nineteenth|seventeenth|sixteenth|fifteenth|samurai|pharaoh|pirate|galleon)\b/i
const DRIFTS = ['teal', 'crimson', 'mustard', 'violet', 'olive', 'coral'] as const
const SPOILT: Readonly<Record<string, string>> = { a: 'o', e: 'c', i: 'l', o: 'a', n: 'm', r: 'n', s: 'z', t: 'f', l: 'i', g: 'q', d: 'b', h: 'k' }

/** What comes of a scene in a fallible engine's hands, and which faults it has. Each cause is drawn for by itself, by seed. */
export function withFaults(scene: Scene, faults: Traits['faults'], engine: string, prompt: string, seed: number): { scene: Scene; faults: Cause[] } {
  const next = structuredClone(scene)
  const found: Cause[] = []
  const chance = (cause: Cause) => seededRandom((hashText(`${engine} ${cause}`) ^ Math.imul(seed + 1, 0x9e3779b1)) >>> 0)
  const strikes = (cause: Cause, applies: boolean): (() => number) | undefined => {
    if (!applies) return undefined
    const random = chance(cause)
    if (random() >= faults[cause]) return undefined
    found.push(cause)
    return random
  }
  const { subject } = next
  const lettering = strikes('spoiled lettering', next.lettering !== null)
  if (lettering && next.lettering) {
    const letters = Array.from(next.lettering.words)
    const at = Math.floor(lettering() * letters.length)
    for (let k = 0; k < letters.length; k++) {
      const i = (at + k) % letters.length
      const other = SPOILT[letters[i]!.toLowerCase()]
      if (!other) continue
      letters[i] = letters[i] === letters[i]!.toUpperCase() ? other.toUpperCase() : other
      break
    }
    next.lettering.words = letters.join('')
  }
  const doubled = strikes('doubled figures', subject.count > 4)
  if (doubled) subject.count = Math.min(24, subject.count + 1 + Math.floor(doubled() * subject.count * 0.4))
  const number = strikes('number missed', subject.count > 1 && subject.count <= 4)
  if (number) subject.count += number() < 0.5 ? -1 : 1
  const drift = strikes('colour drift', next.others.some(({ colours }) => colours.length > 0))
  if (drift) for (const other of next.others) if (other.colours.length) other.colours = [DRIFTS[Math.floor(drift() * DRIFTS.length)]!]
  const light = strikes('light forgotten', next.light.from !== 'left' || next.light.hard)
  if (light) next.light = { from: 'left', hard: false }
  if (strikes('smeared faces', [subject, ...next.others].some(({ kind }) => kind === 'person') && (subject.count > 4 || next.shot === 'wide'))) next.smeared = true
  const modern = strikes('modern thing', OLD.test(prompt))
  if (modern && figureOf('vehicle', 'car')) {
    const variant = modern() < 0.5 ? 'car' : 'bicycle'
    next.others.push({ kind: 'vehicle', variant, count: 1, word: null, colours: [], pose: 'standing', wears: [], holds: [] })
  }
  return { scene: next, faults: found }
}
