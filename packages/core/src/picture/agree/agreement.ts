import { FACETS } from '../../facets.ts'
import { CONFIDENCE, thingConfidence } from '../say/confidence.ts'
import { partOf } from '../say/swap.ts'
import type { PictureReading } from '../shape.ts'
import { verdictsOn } from './judges.ts'
import { type AgreementRow, STANDS } from './row.ts'
import type { Claim } from './verdict.ts'

/** How many of a captioner's claims measures bore out, and contradicted, so far. */
export interface Held {
  held: number
  refuted: number
}
export interface CaptionRead {
  by: string
  claims: readonly Claim[]
  record: Held
}
export const MEASURES = 'measures'

/** The share of claims that hold, with one of each added (Laplace); null of one who has made none that could be measured. */
const trust = ({ held, refuted }: Held): number | null => (held + refuted === 0 ? null : Math.round((100 * (held + 1)) / (held + refuted + 2)) / 100)

function factConfidence(fact: string, { objects, phrases }: PictureReading): number {
  const object = /^object (\d+)$/.exec(fact)
  if (object) return thingConfidence(objects[Number(object[1])]?.score ?? 0)
  return CONFIDENCE[fact as keyof typeof CONFIDENCE] ?? phrases.find(({ evidence }) => evidence === fact)?.confidence ?? 0.8
}

const EMPTY = new Set('a an the of in on at to and with by from is are its it this that some very quite'.split(' '))
/** Words that mean the same of a picture's colours. */
const SAME_WORD: Readonly<Record<string, string>> = { tone: 'colour', hue: 'colour', color: 'colour', shade: 'colour', lighting: 'light', photo: 'photograph' }
/** Words that say something, without the endings of a plural. */
const wordsOf = (text: string): Set<string> => new Set((text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).filter((word) => !EMPTY.has(word)).map((word) => word.replace(/(?<=\p{L}{3})s$/u, '')).map((word) => SAME_WORD[word] ?? word))
const alike = (x: ReadonlySet<string>, y: ReadonlySet<string>) => [...x].filter((word) => y.has(word)).length / Math.max(1, new Set([...x, ...y]).size)
/** Alike from here on, two say the same. */
const SAME = 0.6

/** How many of a text's claims measures bear out, and contradict. */
export function recordOf(claims: readonly Claim[], reading: PictureReading): Held {
  const verdicts = claims.flatMap((claim) => verdictsOn(claim, reading).slice(0, 1))
  return { held: verdicts.filter(({ holds }) => holds).length, refuted: verdicts.filter(({ holds }) => !holds).length }
}

/**
 * What measures and captioners say of a picture, facet by facet: each thing once, with all who say it; borne out by a measure,
 * contradicted by one, or measured by nobody.
 */
export function agreementOf(reading: PictureReading, captions: readonly CaptionRead[]): AgreementRow[] {
  const rows: (AgreementRow & { words: Set<string> })[] = reading.phrases.map(({ facet, text, evidence, confidence }) => ({ facet, text, saidBy: [MEASURES], stand: 'measured', says: '', evidence, confidence, part: partOf({ facet, text }), words: wordsOf(text) }))
  for (const { by, claims, record } of captions)
    for (const claim of claims) {
      const words = wordsOf(claim.text)
      if (words.size === 0) continue
      const [found] = verdictsOn(claim, reading)
      const same = rows.find((row) => row.facet === claim.facet && (alike(row.words, words) >= SAME || (row.stand === 'measured' && found?.holds && row.evidence === found.fact && [...words].every((word) => row.words.has(word)))))
      if (same) {
        if (!same.saidBy.includes(by)) same.saidBy.push(by)
        // One who is trusted more makes it likelier.
        const own = trust(record)
        if (same.stand === 'unmeasured' && own !== null) same.confidence = Math.max(same.confidence ?? 0, own)
        continue
      }
      const sure = found && factConfidence(found.fact, reading)
      rows.push({
        ...claim,
        saidBy: [by],
        stand: !found ? 'unmeasured' : found.holds ? 'held' : 'contradicted',
        says: found?.says ?? '',
        evidence: found?.fact ?? null,
        confidence: !found || sure === undefined ? trust(record) : found.holds ? sure : Math.round((1 - sure) * 100) / 100,
        part: partOf(claim),
        words,
      })
    }
  const order = (row: AgreementRow) => FACETS.indexOf(row.facet) * STANDS.length + STANDS.indexOf(row.stand)
  return rows.sort((x, y) => order(x) - order(y)).map(({ words: _, ...row }) => row)
}
