import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { compareReadings } from '../src/compare/compare.ts'
import { Synonyms } from '../src/compare/sameness.ts'
import { Kin } from '../src/glossary/kin.ts'
import { createReader } from '../src/reader.ts'

const table = (name: string) => readFileSync(new URL(`../tables/${name}`, import.meta.url))
const reader = createReader(table('words.bin'), table('reader.bin'))
const synonyms = new Synonyms(JSON.parse(table('same.json').toString('utf8')) as string[], new Kin(table('kin.bin'), reader.words))
const compare = (a: string, b: string) => compareReadings(reader.read(a), reader.read(b), synonyms)
const changes = (a: string, b: string) => compare(a, b).differences.map(({ change, facet, a: x, b: y }) => `${change} ${facet ?? ''}: ${x ?? ''} > ${y ?? ''}`)

/** Pairs of the files in compare-cases: two prompts, whether they are near, and the differences a person finds. */
const pairs = ['first', 'second'].flatMap((name) =>
  readFileSync(new URL(`../compare-cases/${name}.txt`, import.meta.url), 'utf8')
    .replace(/^#.*\n/gm, '')
    .trim()
    .split(/\n\n+/)
    .map((block) => {
      const [, a = '', b = '', kind = '', list = ''] = /^([\s\S]*?)\n=\n([\s\S]*?)\n-> (near|far);?(.*)$/.exec(block) ?? []
      return { a, b, near: kind === 'near', differences: list.split(';').map((one) => one.trim()).filter(Boolean) }
    }),
)

/** Pairs that are one prompt in other words, or nearly that and yet another prompt. */
const oneOrTwo = readFileSync(new URL('../compare-cases/same-or-not.txt', import.meta.url), 'utf8')
  .replace(/^#.*\n/gm, '')
  .trim()
  .split(/\n\n+/)
  .map((block) => {
    const [, half = '', a = '', b = '', kind = ''] = /^half: (\w)\n([\s\S]*?)\n=\n([\s\S]*?)\n-> (same|other)$/.exec(block) ?? []
    return { half, a, b, same: kind === 'same' }
  })

describe('comparing two prompts', () => {
  it('takes order, lists or sentences and other words for the same as no difference', () => {
    expect(changes('a red fox in the snow, dusk, gouache', 'Gouache. At dusk a red fox in the snow.')).toEqual([])
    expect(changes('an elderly man asleep by the hearth', 'an old gentleman sleeping by the fireplace')).toEqual([])
  })

  it('names what changed by its facet', () => {
    expect(changes('an owl on a post, at night, linocut', 'an owl on a post, at dawn, linocut')).toEqual(['changed moment: night > dawn'])
    expect(changes('an owl on a post, linocut', 'an owl on a post, low angle, linocut')).toEqual(['added framing:  > low angle'])
  })

  it('is near where one prompt is said otherwise, and far where subject, number, place or medium is another', () => {
    const sheep = 'three sheep on a cliff, overcast, charcoal'
    expect(compare(sheep, 'charcoal, overcast: a cliff with three sheep on it, melancholy').near).toBe(true)
    for (const other of ['five sheep on a cliff, overcast, charcoal', 'three goats on a cliff, overcast, charcoal', 'three sheep in a barn, overcast, charcoal', 'three sheep on a cliff, overcast, photograph']) expect(compare(sheep, other).near, other).toBe(false)
    expect(compare('a window sill with a sail boat', 'a windowsill with a sailboat').differences).toEqual([])
    expect(compare('a tulip, watercolour', 'a lighthouse, watercolour').near).toBe(false)
    expect(compare('', '')).toEqual({ near: true, score: 1, differences: [] })
  })

  it('agrees with people on the labelled pairs', () => {
    let [near, found, said, wanted] = [0, 0, 0, 0]
    for (const pair of pairs) {
      const result = compare(pair.a, pair.b)
      if (result.near === pair.near) near++
      if (!pair.differences.length && !pair.near) continue
      const rest = result.differences.map(({ change, facet }) => `${change} ${facet ?? ''}`)
      said += rest.length
      wanted += pair.differences.length
      for (const one of pair.differences) {
        const at = rest.indexOf(one)
        if (at < 0) continue
        rest.splice(at, 1)
        found++
      }
    }
    expect(pairs).toHaveLength(80)
    expect(near / pairs.length).toBeGreaterThan(0.97)
    expect(found / wanted).toBeGreaterThan(0.84)
    expect(found / said).toBeGreaterThan(0.8)
  })

  it.each(['a', 'b'])('tells one prompt in other words from two prompts that are alike, half %s', (half) => {
    const own = oneOrTwo.filter((pair) => pair.half === half)
    const said = own.filter(({ a, b }) => compare(a, b).near)
    const right = said.filter(({ same }) => same).length
    expect(own.length).toBeGreaterThan(35)
    expect((2 * right) / (said.length + own.filter(({ same }) => same).length)).toBeGreaterThan(0.9)
  })
})
