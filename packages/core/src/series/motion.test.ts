import fc from 'fast-check'
import { expect, it } from 'vitest'
import { beginnings, MOVES, sceneAt } from './motion.ts'

it('a moment of the whole is in the scene it falls in', () => {
  const scenes = [{ seconds: 5 }, { seconds: 2 }, { seconds: 3 }]
  expect(beginnings(scenes)).toEqual([0, 5, 7, 10])
  expect([0, 4.9, 5, 6.5, 7, 10, 99].map((at) => sceneAt(scenes, at))).toEqual([{ scene: 0, into: 0 }, { scene: 0, into: 4.9 }, { scene: 1, into: 0 }, { scene: 1, into: 1.5 }, { scene: 2, into: 0 }, { scene: 2, into: 3 }, { scene: 2, into: 3 }])
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 120 }), { minLength: 1, maxLength: 60 }), fc.nat(100), (list, share) => {
      const played = list.map((seconds) => ({ seconds }))
      const starts = beginnings(played)
      const moment = (starts.at(-1)! * share) / 101
      const { scene, into } = sceneAt(played, moment)
      expect(starts[scene]! + into).toBeCloseTo(moment, 6)
    }),
  )
})

it.each(Object.entries(MOVES))('%s never shows the edge of the picture', (_, stands) => {
  for (const { x, y, scale, turn } of stands) {
    // A turned picture reaches less far by about the sine of its turn.
    const spare = (scale - 1) / 2 - Math.abs(Math.sin((turn * Math.PI) / 180)) * scale
    expect(Math.abs(x)).toBeLessThanOrEqual(spare + 1e-9)
    expect(Math.abs(y)).toBeLessThanOrEqual(spare + 1e-9)
  }
})
