import { effectScope, ref } from 'vue'
import { expect, it } from 'vitest'
import { useZoom } from './zoom.ts'

const zoom = () => effectScope().run(() => useZoom(ref(document.createElement('div'))))!

it('keeps the point under the pointer where it is', () => {
  const z = zoom()
  z.by(2, 100, 40)
  const [, x, y, scale] = /translate\(([-\d.]+)px, ([-\d.]+)px\) scale\(([\d.]+)\)/.exec(z.transform.value)!.map(Number)
  expect(scale).toBeCloseTo(1.5625)
  // The picture's point that lay at (100, 40) before still does.
  expect(100 * scale! + x!).toBeCloseTo(100)
  expect(40 * scale! + y!).toBeCloseTo(40)
})

it('is never smaller than the whole, nor larger than twelve times, and pans only when enlarged', () => {
  const z = zoom()
  z.pan(50, 50)
  z.by(-3)
  expect(z.transform.value).toBe('translate(0px, 0px) scale(1)')
  z.by(100)
  expect(z.scale.value).toBe(12)
  z.whole()
  expect(z.scale.value).toBe(1)
})
