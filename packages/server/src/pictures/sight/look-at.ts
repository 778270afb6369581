import { type Facts, factsOf, type FirstFacts, firstFactsOf, type MediumTable, type PictureReading, readingOf, View } from '@idolon/core/look'
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { proxyOf } from '../proxy.ts'
import { detect } from './detector.ts'
import { lettering } from './lettering.ts'
import { poses } from './poses.ts'

const require = createRequire(import.meta.url)
let table: Promise<MediumTable> | undefined
const mediumTable = (): Promise<MediumTable> => (table ??= readFile(require.resolve('@idolon/core/tables/medium.json'), 'utf8').then((text) => JSON.parse(text) as MediumTable))

/** Told as it comes: what a glance tells, then all that is measured of the pixels. */
export interface Progress {
  first?: (facts: FirstFacts) => void
  facts?: (facts: Facts) => void
}

/**
 * All that is read of a picture.
 * @throws NotAPicture that says what is wrong with the bytes.
 */
export async function lookAt(bytes: Buffer, progress: Progress = {}): Promise<PictureReading> {
  const proxy = await proxyOf(bytes)
  const view = new View(proxy)
  const first = firstFactsOf(view)
  progress.first?.(first)
  // Lettering is read in a thread of its own, so the rest goes on meanwhile.
  const words = lettering(proxy)
  const facts = factsOf(view, first)
  progress.facts?.(facts)
  const [{ sightings, style }, people, media] = await Promise.all([detect(proxy), poses(proxy), mediumTable()])
  return readingOf(facts, { sightings, style, poses: people, words: await words }, media, proxy.width / proxy.height)
}
