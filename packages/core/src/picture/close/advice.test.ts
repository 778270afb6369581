import { describe, expect, it } from 'vitest'
import type { Closeness, Closing } from '../shape.ts'
import { adviceOf } from './advice.ts'
import { pastOf, type PastTry } from './past.ts'

const PROFILE = { leaveOut: true, references: ['layout' as const], sizes: [{ aspectRatio: '3:2', width: 768, height: 512, cost: 1 }, { aspectRatio: '1:1', width: 640, height: 640, cost: 1 }] }
const row = (respect: Closeness['by'][number]['respect'], close: number, ...closing: Closing[]) => ({ respect, close, says: '', closing })
const DIM: Closing = { facet: 'light', say: 'darker tones' }
const PRINT: Closing = { facet: 'medium', say: 'flat print' }
const closeness: Closeness = { whole: 0.5, by: [row('medium', 0, PRINT), row('key', 0.4, DIM), row('things', 0.7, { leaveOut: 'dog' }), row('format', 0.5, { setting: 'aspectRatio', value: '4:5' }), row('layout', 0.1, { follow: 'layout', strength: 60 }), row('palette', 0.95, { facet: 'colour', say: 'palette of blue' })] }
const never = () => ({ tried: 0, closer: 0 })
const advised = (profile: Parameters<typeof adviceOf>[1] = PROFILE, past: Parameters<typeof adviceOf>[2] = never, has: (closing: Closing) => boolean = () => false) => adviceOf(closeness, profile, past, has).map(({ closing }) => closing)

describe('what to change next', () => {
  it('is what costs most and works most often, and leaves alone what is close', () => {
    expect(advised()[0]).toEqual(PRINT)
    expect(advised()).not.toContainEqual({ facet: 'colour', say: 'palette of blue' })
  })

  it('is only what the engine takes, a format as near as it has one, and nothing twice', () => {
    expect(advised()).toContainEqual({ setting: 'aspectRatio', value: '1:1' })
    const bare = advised({ ...PROFILE, leaveOut: false, references: [] })
    expect(bare).toEqual([PRINT, DIM, { setting: 'aspectRatio', value: '1:1' }])
    expect(advised(PROFILE, never, (closing) => closing === PRINT)).not.toContainEqual(PRINT)
  })

  it('learns from the tries before: what never helped comes after what did', () => {
    const made = (version: number, text: string, medium: number, key: number): PastTry => ({ promptId: 'p', engine: 'burin 2', version, text, leaveOut: [], references: [], reference: 'r', by: [row('medium', medium, PRINT), row('key', key, DIM)] })
    const past = pastOf([1, 2, 3].flatMap((n) => [
      { ...made(1, 'a fox', 0, 0.2), promptId: `m${n}` }, { ...made(2, 'a fox, flat print', 0, 0.2), promptId: `m${n}` },
      { ...made(1, 'a fox', 0, 0.2), promptId: `k${n}` }, { ...made(2, 'a fox, darker tones', 0, 0.7), promptId: `k${n}` },
    ]))
    expect(past('medium', PRINT)).toEqual({ tried: 3, closer: 0 })
    expect(past('key', DIM)).toEqual({ tried: 3, closer: 3 })
    expect(advised(PROFILE, past).indexOf(DIM)).toBeLessThan(advised(PROFILE, past).indexOf(PRINT))
  })
})
