import { describe, expect, it } from 'vitest'
import { understand } from '../scene/understand.ts'
import { drawScene } from './draw.ts'
import { FIGURES } from './figures/index.ts'

const draw = (prompt: string, seed = 3) => drawScene(understand(prompt), seed, 300, 200)
const shapes = (svg: string) => svg.match(/<(?:path|circle|ellipse|rect|text)[^>]*>/g) ?? []
const groups = (svg: string) => svg.match(/<g transform="translate[^"]*scale/g)?.length ?? 0

describe('drawScene', () => {
  it('draws as many as are asked for', () => {
    for (const [word, n] of [['a fox', 1], ['two foxes', 2], ['three foxes', 3], ['seven foxes', 7], ['12 foxes', 12]] as const) expect(groups(draw(`${word} in a meadow`)), word).toBe(n)
  })

  it('leaves everything else where it is when one thing is added', () => {
    const without = new Set(shapes(draw('a fox in the mountains, gouache')))
    const added = shapes(draw('a fox in the mountains with birds, gouache')).filter((shape) => !without.has(shape))
    expect(added).toHaveLength(9)
  })

  it('draws the same for the same words and seed, and something else for another seed', () => {
    expect(draw('a goat at dawn')).toBe(draw('a goat at dawn'))
    expect(draw('a goat at dawn')).not.toBe(draw('a goat at dawn', 4))
  })

  it('enlarges the subject in a close-up and shrinks it in a wide shot', () => {
    const scaleOf = (prompt: string) => Number(/scale\(([\d.]+)\)/.exec(draw(prompt))?.[1])
    expect(scaleOf('a fox, wide shot')).toBeLessThan(scaleOf('a fox'))
    expect(scaleOf('a fox')).toBeLessThan(scaleOf('a fox, close-up'))
  })

  it('never lets words of the prompt become markup', () => {
    expect(draw('a poster with the words "<script>&"')).toContain('&lt;SCRIPT&gt;&amp;')
    expect(draw('a poster with the words "<script>"')).not.toContain('<SCRIPT')
  })

  it('has a figure for every subject it understands', async () => {
    const { SUBJECTS } = await import('../scene/words.ts')
    const missing = SUBJECTS.map(([, value]) => value).filter((value) => !value.startsWith('landscape') && !(value in FIGURES))
    expect(missing).toEqual([])
  })
})
