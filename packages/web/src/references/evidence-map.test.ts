import { expect, it } from 'vitest'
import { type EvidenceMap, isMap, paintMap } from './evidence-map.ts'

/** Four pixels in a row: black, white, red, blue. */
const painted = (evidence: EvidenceMap) => {
  const data = Uint8ClampedArray.from([0, 0, 0, 255, 255, 255, 255, 255, 250, 10, 10, 255, 10, 10, 240, 255])
  paintMap(data, 4, 1, evidence)
  return [0, 1, 2, 3].map((p) => [...data.subarray(p * 4, p * 4 + 3)])
}

it('puts each pixel into the nearest colour of the palette', () => {
  expect(painted({ kind: 'colours', hexes: ['#ff0000', '#0000ff'], name: '' }).slice(2)).toEqual([[255, 0, 0], [0, 0, 255]])
  expect(painted({ kind: 'colours', hexes: [], name: '' })[2]).toEqual([250, 10, 10])
})

it('dims what does not count', () => {
  const dark = painted({ kind: 'tones', tones: 'dark', name: '' })
  expect(dark[0]).toEqual([0, 0, 0])
  expect(dark[1]).not.toEqual([255, 255, 255])
  expect(painted({ kind: 'tones', tones: 'ends', name: '' }).slice(0, 2)).toEqual([[0, 0, 0], [255, 255, 255]])
  const half = painted({ kind: 'cells', columns: 2, sharp: [true, undefined], name: '' })
  expect([half[1], half[2]![0]! > 240]).toEqual([[255, 255, 255], true])
})

it('lays tones as blocks of grey, and is no map of what is drawn with lines', () => {
  expect(painted({ kind: 'blocks', tones: [0, 99, 0, 99], name: '' })).toEqual([[0, 0, 0], [0, 0, 0], [255, 255, 255], [255, 255, 255]])
  expect(isMap({ kind: 'fold', name: '' })).toBe(false)
  expect(isMap(undefined)).toBe(false)
})
