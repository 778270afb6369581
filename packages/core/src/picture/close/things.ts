import type { Closing, PictureReading } from '../shape.ts'
import type { Respect } from './closeness.ts'

/** Less sure than this is no thing to miss. */
const SURE = 0.42

function counts({ objects }: PictureReading): Map<string, number> {
  const found = new Map<string, number>()
  for (const { name, score } of objects) if (score >= SURE) found.set(name, (found.get(name) ?? 0) + 1)
  return found
}

/** What is there of the reference's things, and what is there beside them. */
export const thingsCloseness: Respect = (reference, proof) => {
  const [own, its] = [counts(reference), counts(proof)]
  if (own.size === 0) return undefined
  const names = [...new Set([...own.keys(), ...its.keys()])]
  const sum = (of: (a: number, b: number) => number) => names.reduce((total, name) => total + of(own.get(name) ?? 0, its.get(name) ?? 0), 0)
  const missing = [...own.keys()].filter((name) => !its.has(name))
  const extra = [...its.keys()].filter((name) => !own.has(name))
  const closing: Closing[] = [
    ...missing.flatMap((name): Closing[] => {
      const at = reference.objects.findIndex((object) => object.name === name)
      const phrase = reference.phrases.find(({ evidence }) => evidence === `object ${at}`)
      return phrase ? [{ facet: phrase.facet, say: phrase.text }] : []
    }),
    ...extra.map((name): Closing => ({ leaveOut: name })),
  ]
  const says = [missing.length ? `missing: ${missing.join(', ')}` : '', extra.length ? `besides: ${extra.join(', ')}` : ''].filter(Boolean).join('; ') || 'the same things'
  return { close: sum(Math.min) / sum(Math.max), says, closing }
}
