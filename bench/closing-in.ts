import { type EngineProfile, SHIPPED_ENGINES } from '@idolon/core'
import { type Advice } from '@idolon/core'
import { adviceOf, closenessOf, hasClosing, pastOf, type PastTry, type PictureReading } from '@idolon/core/look'
import { createStandin, type PictureRequest } from '@idolon/standins'
import { seededRandom } from '@idolon/core'
import { once } from 'node:events'
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { AddressInfo } from 'node:net'
import { stopReading } from '../packages/server/src/pictures/sight/lettering.ts'
import { lookAt } from '../packages/server/src/pictures/sight/look-at.ts'
import type { Bench } from './figure.ts'

/** What references were made from; a writer begins with the first phrase of each and the measures say the rest. */
const REFERENCES = [
  'a heron by a lake, mist, dawn, cool colours, watercolour',
  'a steam train on a viaduct, autumn, wide shot, low sun from the left, gouache',
  'a teapot on a table, soft light from the right, warm colours, photograph',
  'an old beekeeper in a meadow, noon, medium shot, oil painting',
  'a fishing boat on a lake, night, moonlight, blue and black palette, ink wash',
  'a chapel in a snowy village, winter, dusk, linocut',
  'a fox in a forest, morning, close-up, shallow depth of field, photograph',
  'a jar of honey on a table, plain background, hard light from the left, photograph',
  'a bridge over a river, storm, dark tones, charcoal',
  'an owl on a branch, night, engraving',
  'a lighthouse on a cliff, sunset, orange and purple palette, flat print',
  'a girl with a lantern in a village street, night, warm light, gouache',
  'a loaf of bread and a cup on a table, morning, light from the left, oil painting',
  'a bicycle in a garden, summer, vivid colours, paper cut',
  'a horse in a meadow, autumn, wide shot, muted colours, watercolour',
  'a windmill in a field, overcast, flat print, limited palette of red and beige',
  'a bee on a flower, close-up, shallow depth of field, photograph',
  'a mountain valley, sunset, wide shot, high horizon, oil painting',
  'a lamp and a book on a desk, night, low-key light, photograph',
  'a kingfisher by a river, spring, close-up, linocut',
]
const TRIES = 5
const FACETS = new Set(['framing', 'light', 'colour', 'medium', 'technique', 'moment', 'mood'])
const require = createRequire(import.meta.url)

interface Words {
  text: string
  leaveOut: string[]
  references: { role: 'base' | 'layout' | 'palette' | 'person' | 'finish'; strength: number }[]
  aspectRatio: string
}
function changed(words: Words, { closing }: Pick<Advice, 'closing'>): Words {
  if ('say' in closing) return { ...words, text: `${words.text}, ${closing.say}` }
  if ('leaveOut' in closing) return { ...words, leaveOut: [...words.leaveOut, closing.leaveOut] }
  if ('follow' in closing) return { ...words, references: [...words.references, { role: closing.follow, strength: closing.strength }] }
  return { ...words, aspectRatio: closing.value }
}

/** Twenty references, five tries each: following the suggestions only, and adding as many random terms of the glossary. */
export const closingIn: Bench = async () => {
  const glossary = JSON.parse(readFileSync(require.resolve('@idolon/core/tables/glossary.json'), 'utf8')) as { term: string; facet: string }[]
  const terms = glossary.filter(({ facet }) => FACETS.has(facet))
  const server = createStandin().listen(0, '127.0.0.1')
  await once(server, 'listening')
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/v1/pictures`
  const draw = async (request: PictureRequest): Promise<Buffer> => {
    const response = await fetch(address, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(request) })
    if (!response.ok) throw new Error(await response.text())
    const { pictures } = (await response.json()) as { pictures: { png: string }[] }
    return Buffer.from(pictures[0]!.png, 'base64')
  }
  const tried = (profile: EngineProfile, { text, leaveOut, references, aspectRatio }: Words, seed: number, reference: Buffer) => {
    const size = profile.sizes.find((one) => one.aspectRatio === aspectRatio) ?? profile.sizes[0]!
    return draw({ engine: profile.id, revision: profile.revision, prompt: text, ...(profile.leaveOut && leaveOut.length ? { leaveOut: leaveOut.join(', ') } : {}), width: size.width, height: size.height, seed, references: references.map((one) => ({ ...one, image: reference.toString('base64') })) })
  }
  const engines = [...new Map(SHIPPED_ENGINES.map((profile) => [profile.id, profile])).values()]
  const past: PastTry[] = []
  const moves = new Map<string, { tried: number; closer: number }>()
  let [risen, risenRandom, gained, gainedRandom] = [0, 0, 0, 0]
  for (const [i, prompt] of REFERENCES.entries()) {
    const made = engines[i % engines.length]!
    const profile = engines[(i + 1) % engines.length]!
    const size = made.sizes[(i * 2) % made.sizes.length]!
    const reference = await draw({ engine: made.id, revision: made.revision, prompt, width: size.width, height: size.height, seed: 900 + i })
    const own = await lookAt(reference)
    const begin: Words = { text: prompt.split(',')[0]!, leaveOut: [], references: [], aspectRatio: profile.sizes[0]!.aspectRatio }
    const close = async (words: Words): Promise<{ reading: PictureReading; whole: number }> => {
      const reading = await lookAt(await tried(profile, words, 40 + i, reference))
      return { reading, whole: closenessOf(own, reading).whole ?? 0 }
    }
    const first = await close(begin)
    let [words, now] = [begin, first]
    const said: string[] = []
    /** The closest so far: what came out further is gone back from, as the page proposes. */
    let best = { words, now }
    const before: Words[] = [words]
    const note = (version: number) => past.push({ ...words, promptId: String(i), engine: profile.id, version, reference: String(i), by: closenessOf(own, now.reading).by })
    note(1)
    for (let n = 1; n < TRIES; n++) {
      const closeness = closenessOf(own, now.reading)
      const [next] = adviceOf(closeness, profile, pastOf(past), (closing) => before.some((one) => hasClosing({ ...one, settings: { aspectRatio: one.aspectRatio } }, closing)))
      if (!next) break
      const was = closeness.by.find(({ respect }) => respect === next.respect)!.close
      words = changed(words, next)
      before.push(words)
      now = await close(words)
      note(n + 1)
      const is = closenessOf(own, now.reading).by.find(({ respect }) => respect === next.respect)?.close ?? was
      const key = `${next.respect} ${Object.keys(next.closing)[0] === 'facet' ? 'say' : Object.keys(next.closing)[0]}`
      const move = moves.get(key) ?? { tried: 0, closer: 0 }
      moves.set(key, { tried: move.tried + 1, closer: move.closer + (is > was + 0.03 ? 1 : 0) })
      if (now.whole > best.now.whole) best = { words, now }
      else ({ words, now } = best)
      said.push(`${next.respect} ${JSON.stringify(next.closing)} ${was}→${is}`)
    }
    const random = seededRandom(7 + i)
    // The same chance of going back, so that only what is said differs.
    let other = begin
    let aimless = first
    for (let n = 1; n < TRIES; n++) {
      const term = terms[Math.floor(random() * terms.length)]!
      const next = { ...other, text: `${other.text}, ${term.term}` }
      const came = await close(next)
      if (came.whole > aimless.whole) [other, aimless] = [next, came]
    }
    if (process.env['VERBOSE']) console.log(`  ${i} ${profile.id}: ${first.whole} → ${now.whole}; at random ${aimless.whole} | ${said.join('; ')}`)
    if (now.whole > first.whole) risen++
    if (aimless.whole > first.whole) risenRandom++
    gained += now.whole - first.whole
    gainedRandom += aimless.whole - first.whole
  }
  server.close()
  await stopReading()
  for (const [key, { tried: all, closer }] of [...moves].sort()) console.log(`  ${key}: closer in ${closer} of ${all}`)
  const share = (sum: number) => Math.round((1000 * sum) / REFERENCES.length) / 10
  return [
    { what: 'Of 20 references, those a picture came no closer to in five tries that followed the suggestions', value: REFERENCES.length - risen, unit: 'rows', baseline: { what: 'with as many random terms', value: REFERENCES.length - risenRandom }, limit: 2 },
    { what: 'How far from the reference a picture stayed of what it was at first, after five tries that followed the suggestions', value: 100 - share(gained), unit: '%', baseline: { what: 'with as many random terms', value: 100 - share(gainedRandom) }, limit: 96 },
  ]
}
