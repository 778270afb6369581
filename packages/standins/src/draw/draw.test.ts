import { describe, expect, it } from 'vitest'
import type { Scene } from '../scene/scene.ts'
import { understand } from '../scene/understand.ts'
import { drawScene } from './draw.ts'
import { FIGURES } from './figures/index.ts'

const draw = (prompt: string, seed = 3, change: (scene: Scene) => Scene = (scene) => scene) => drawScene(change(understand(prompt)), seed, 300, 200).svg
const shapes = (svg: string) => svg.match(/<(?:path|circle|ellipse|rect|text)[^>]*>/g) ?? []
const subjects = (svg: string) => svg.match(/<g id="fsubject\d+"/g)?.length ?? 0
/** How tall the first of the subject is drawn, in pixels. */
const heightOf = (svg: string) => 100 * Number(/scale\(-?[\d.]+ ([\d.]+)\)/.exec(svg.slice(svg.indexOf('<g id="fsubject0"')))?.[1])

describe('drawScene', () => {
  it('draws as many as are asked for', () => {
    for (const [word, n] of [['a fox', 1], ['two foxes', 2], ['three foxes', 3], ['seven foxes', 7], ['12 foxes', 12], ['a crowd of people', 16]] as const) expect(subjects(draw(`${word} in a meadow`)), word).toBe(n)
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

  it('enlarges the subject step by step from a panorama to a detail', () => {
    const heights = ['panorama of a fox', 'a fox, wide shot', 'a fox', 'a fox, close-up', 'macro of a fox'].map((prompt) => heightOf(draw(prompt)))
    expect(heights).toEqual([...heights].sort((a, b) => a - b))
    expect(new Set(heights).size).toBe(5)
  })

  it('never lets words of the prompt become markup', () => {
    expect(draw('a poster with the words "<script>&"')).toContain('&lt;SCRIPT&gt;&amp;')
    expect(draw('a poster with the words "<script>"')).not.toContain('<SCRIPT')
  })

  it('draws every figure it has words for, in every pose, and no number that is none', () => {
    for (const { kind, variant } of FIGURES) {
      for (const pose of ['standing', 'lying', 'running', 'sitting', 'flying'] as const) {
        const svg = draw('a thing in a meadow', 5, (scene) => ({ ...scene, subject: { kind, variant, count: 1, word: null, colours: [], pose, wears: [], holds: [] } }))
        expect(subjects(svg), `${kind}/${variant}`).toBe(1)
        expect(svg, `${kind}/${variant} ${pose}`).not.toMatch(/NaN|undefined|Infinity/)
      }
    }
  })

  it('has at least three figures of each of fourteen kinds', () => {
    const counts = new Map<string, number>()
    for (const { kind } of FIGURES) counts.set(kind, (counts.get(kind) ?? 0) + 1)
    expect([...counts.values()].filter((count) => count >= 3).length).toBeGreaterThanOrEqual(14)
  })
})
