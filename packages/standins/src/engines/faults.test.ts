import { describe, expect, it } from 'vitest'
import { understand } from '../scene/understand.ts'
import { withFaults } from './faults.ts'
import { TRAITS } from './traits.ts'

const SEEDS = 1_500
const shareOf = (engine: string, cause: string, prompt: string): number => {
  const scene = understand(prompt)
  const struck = Array.from({ length: SEEDS }, (_, seed) => withFaults(scene, TRAITS[engine]!.faults, engine, prompt, seed)).filter(({ faults }) => faults.some((one) => one === cause))
  return struck.length / SEEDS
}

describe('faults', () => {
  it('strike as often as their table says, and only where they apply', () => {
    for (const engine of Object.keys(TRAITS)) {
      expect(shareOf(engine, 'spoiled lettering', 'a poster of a train, "TARROW LINE"'), engine).toBeCloseTo(TRAITS[engine]!.faults['spoiled lettering'], 1)
      expect(shareOf(engine, 'spoiled lettering', 'a poster of a train'), engine).toBe(0)
      expect(shareOf(engine, 'doubled figures', 'a crowd of people in a street'), engine).toBeCloseTo(TRAITS[engine]!.faults['doubled figures'], 1)
      expect(shareOf(engine, 'doubled figures', 'two people in a street'), engine).toBe(0)
    }
  })

  it('differ between revisions as their notes say: one holds the light, another the number', () => {
    expect(shareOf('burin 2', 'light forgotten', 'a fox, lit from the right')).toBeLessThan(shareOf('burin 1', 'light forgotten', 'a fox, lit from the right') / 4)
    expect(shareOf('brayer 2', 'number missed', 'three foxes')).toBeLessThan(shareOf('brayer 1', 'number missed', 'three foxes') / 4)
  })

  it('change what they are about and nothing else', () => {
    const prompt = 'a medieval knight, "TARROW"'
    const scene = understand(prompt)
    for (let seed = 0; seed < 40; seed++) {
      const { scene: spoilt, faults } = withFaults(scene, TRAITS['tympan 1']!.faults, 'tympan 1', prompt, seed)
      expect(spoilt.lettering?.words === 'TARROW').toBe(!faults.includes('spoiled lettering'))
      expect(spoilt.others.length - scene.others.length).toBe(faults.includes('modern thing') ? 1 : 0)
      expect(spoilt.setting).toBe(scene.setting)
    }
  })
})
